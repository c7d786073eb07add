import type { Metadata } from 'next'
import { store } from '@/data/store/database'
import { workshopSettings } from '@/data/workshop/settings'
import { JobCard } from '@/features/jobs/JobCard'
import { dayText } from '@/ui/format/time'
import { loadStrungJob } from '../load-job'

export const metadata: Metadata = { title: 'Job card' }

export default async function CardPage({ params }: { params: Promise<{ id: string }> }) {
  const job = await loadStrungJob(params)
  return (
    <JobCard
      context={job.context}
      steps={job.steps}
      from={job.coil?.label ?? 'the string that came off'}
      jobId={job.jobId}
      date={dayText(store().now(), workshopSettings(store()).timeZone)}
    />
  )
}
