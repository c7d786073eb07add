import { redirect } from 'next/navigation'
import { loadJob } from './load-job'
import { pages } from '@/boundary/paths'

/** Goes to the stage a job has got to. */
export default async function JobPage({ params }: { params: Promise<{ id: string }> }) {
  const job = await loadJob(params)
  const stage =
    job.finishedAt !== null
      ? 'done'
      : job.coil === null && !job.sameString
        ? 'coil'
        : job.doneSteps.length > 0
          ? 'steps'
          : 'figures'
  redirect(pages.jobSheet(job.jobId, stage))
}
