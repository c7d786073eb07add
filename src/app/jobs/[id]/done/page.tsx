import type { Metadata } from 'next'
import { redirect } from 'next/navigation'
import { pages } from '@/boundary/paths'
import { withCuts } from '@/data/stores/coils'
import { store } from '@/data/store/database'
import { workshopSettings } from '@/data/workshop/settings'
import { jobOutcome } from '@/data/views/job-outcome'
import { OutcomeSheet } from '@/features/jobs/OutcomeSheet'
import { jobsTogether } from '@/data/jobs/jobs-together'
import type { Job } from '@/data/jobs/job'
import { JobSheet } from '../JobSheet'
import { loadJob } from '../load-job'

export const metadata: Metadata = { title: 'Fitted' }

export default async function DonePage({ params }: { params: Promise<{ id: string }> }) {
  const { jobId } = await loadJob(params)
  const finished = jobOutcome(store(), jobId)
  if (!finished) redirect(pages.job(jobId))
  const { job, ...outcome } = finished
  const { retuneAtCents, holdsWithinCents, concertHours } = workshopSettings(store())
  return (
    <JobSheet job={job} stage="done">
      <OutcomeSheet
        outcome={outcome}
        jobId={jobId}
        others={othersOf(job)}
        now={store().now()}
        tolerance={retuneAtCents}
        holdsWithin={holdsWithinCents}
        concertHours={concertHours}
        coil={
          job.coil && {
            id: job.coil.id,
            label: job.coil.label,
            restUnknown: job.coil.inHand && job.coil.lengthLeft === 0,
            left: job.coil.lengthLeft,
            bought: job.coil.boughtLength,
            cuts: withCuts(store(), [job.coil]).flatMap(({ cuts }) => cuts.map(({ length }) => length)),
          }
        }
      />
    </JobSheet>
  )
}

/** Strings that are done together with this one and are still open. */
function othersOf(job: Job) {
  return jobsTogether(store(), job.jobId)
    .filter((one) => one.finishedAt === null)
    .map((one) => ({ jobId: one.jobId, number: one.position.number }))
}
