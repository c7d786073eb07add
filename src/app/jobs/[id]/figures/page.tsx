import type { Metadata } from 'next'
import { FittingFiguresSheet } from '@/features/jobs/FittingFiguresSheet'
import { JobSheet } from '../JobSheet'
import { loadStrungJob } from '../load-job'

export const metadata: Metadata = { title: 'Figures' }

export default async function FiguresPage({ params }: { params: Promise<{ id: string }> }) {
  const job = await loadStrungJob(params)
  return (
    <JobSheet job={job} stage="figures">
      <FittingFiguresSheet jobId={job.jobId} instrument={job.instrument} figures={job.figures} habits={job.habits} begun={job.doneSteps.length > 0} />
    </JobSheet>
  )
}
