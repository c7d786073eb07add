import type { Metadata } from 'next'
import { notFound, redirect } from 'next/navigation'
import { pages } from '@/boundary/paths'
import { store } from '@/data/store/database'
import { gaugeUnitOf, workshopSettings } from '@/data/workshop/settings'
import { jobOutcome } from '@/data/views/job-outcome'
import { jobsTogether } from '@/data/jobs/jobs-together'
import { serviceCharges, serviceMinutes, reportedString } from '@/data/views/service-report'
import { ServiceReport } from '@/features/jobs/ServiceReport'
import { loadJob } from '../load-job'

export const metadata: Metadata = { title: 'Service report' }

export default async function ReportPage({ params }: { params: Promise<{ id: string }> }) {
  const job = await loadJob(params)
  if (job.finishedAt === null) redirect(pages.job(job.jobId))
  const finished = jobsTogether(store(), job.jobId).flatMap((one) => jobOutcome(store(), one.jobId) ?? [])
  // What was fitted can't be read.
  if (finished.length === 0) notFound()
  const settings = workshopSettings(store())
  return (
    <ServiceReport
      instrument={job.instrument}
      strings={finished.map((one) => reportedString(one, gaugeUnitOf(settings)))}
      minutes={serviceMinutes(finished.map((one) => one.job))}
      charges={serviceCharges(store(), finished)}
      address={settings.address}
      now={store().now()}
      holdsWithin={settings.holdsWithinCents}
    />
  )
}
