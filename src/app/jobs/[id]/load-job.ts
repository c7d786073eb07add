import { notFound, redirect } from 'next/navigation'
import { pages } from '@/boundary/paths'
import { store } from '@/data/store/database'
import { jobById, type Job } from '@/data/jobs/job'
import { numberIn } from '../../asked'
import { orNotFound } from '../../or-not-found'

type Params = Promise<{ id: string }>

/** The job of a page's path, or the page that says there is none. */
export async function loadJob(params: Params): Promise<Job> {
  const id = numberIn((await params).id)
  if (id === null) notFound()
  return orNotFound(() => jobById(store(), id))
}

/** A job that is not finished; a finished one shows what came of it. */
export async function loadOpenJob(params: Params): Promise<Job> {
  const job = await loadJob(params)
  if (job.finishedAt !== null) redirect(pages.jobSheet(job.jobId, 'done'))
  return job
}

/** An open job of which it is settled what goes on; otherwise that is asked first. */
export async function loadStrungJob(params: Params): Promise<Job> {
  const job = await loadOpenJob(params)
  if (job.coil === null && !job.sameString) redirect(pages.jobSheet(job.jobId, 'coil'))
  return job
}
