import { notFound } from 'next/navigation'
import { store } from '@/data/database'
import { jobById, type Job } from '@/data/jobs'
import { isRefusal } from '@/data/refusal'

/** The job of a page's path, or the page that says there is none. */
export async function loadJob(params: Promise<{ id: string }>): Promise<Job> {
  const { id } = await params
  if (!/^\d{1,9}$/.test(id)) notFound()
  try {
    return jobById(store(), Number(id))
  } catch (error) {
    if (isRefusal(error) && error.status === 404) notFound()
    throw error
  }
}
