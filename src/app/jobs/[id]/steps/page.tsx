import type { Metadata } from 'next'
import { StepByStep } from '@/features/jobs/StepByStep'
import { JobSheet } from '../JobSheet'
import { loadStrungJob } from '../load-job'

export const metadata: Metadata = { title: 'Steps' }

export default async function StepsPage({ params }: { params: Promise<{ id: string }> }) {
  const job = await loadStrungJob(params)
  return (
    <JobSheet job={job} stage="steps">
      <StepByStep jobId={job.jobId} instrument={job.instrument} figures={job.figures} steps={job.steps} done={job.doneSteps} />
    </JobSheet>
  )
}
