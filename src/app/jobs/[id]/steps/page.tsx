import type { Metadata } from 'next'
import { redirect } from 'next/navigation'
import { StepByStep } from '@/features/jobs/StepByStep'
import { JobSheet } from '../JobSheet'
import { loadJob } from '../load-job'

export const metadata: Metadata = { title: 'Steps' }

export default async function StepsPage({ params }: { params: Promise<{ id: string }> }) {
  const job = await loadJob(params)
  if (job.finishedAt !== null) redirect(`/jobs/${job.jobId}/done`)
  if (job.coil === null && !job.sameString) redirect(`/jobs/${job.jobId}/coil`)
  return (
    <JobSheet job={job} stage="steps">
      <StepByStep jobId={job.jobId} instrument={job.instrument} figures={job.figures} steps={job.steps} done={job.doneSteps} />
    </JobSheet>
  )
}
