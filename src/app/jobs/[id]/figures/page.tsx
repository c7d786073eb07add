import type { Metadata } from 'next'
import { redirect } from 'next/navigation'
import { FittingFiguresSheet } from '@/features/jobs/FittingFiguresSheet'
import { JobSheet } from '../JobSheet'
import { loadJob } from '../load-job'

export const metadata: Metadata = { title: 'Figures' }

export default async function FiguresPage({ params }: { params: Promise<{ id: string }> }) {
  const job = await loadJob(params)
  if (job.finishedAt !== null) redirect(`/jobs/${job.jobId}/done`)
  if (job.coil === null && !job.sameString) redirect(`/jobs/${job.jobId}/coil`)
  return (
    <JobSheet job={job} stage="figures">
      <FittingFiguresSheet jobId={job.jobId} instrument={job.instrument} figures={job.figures} habits={job.habits} begun={job.doneSteps.length > 0} />
    </JobSheet>
  )
}
