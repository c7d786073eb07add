import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { fasteningNamed } from '@/core/knots/fastenings'
import { FASTENINGS, type Fastening } from '@/core/knots/tying'
import { store } from '@/data/store/database'
import { workshopSettings } from '@/data/workshop/settings'
import { jobById } from '@/data/jobs/job'
import { stringOf } from '@/data/jobs/string-of'
import { KnotSheet } from '@/features/knots/KnotSheet'
import { stringToTie } from '@/features/knots/string-to-tie'
import { orNotFound } from '../or-not-found'

export const metadata: Metadata = { title: 'Knots' }

/** `?knot=` names the fastening, `?job=` the job whose string it is tied for. */
export default async function KnotsPage({
  searchParams,
}: {
  searchParams: Promise<{ knot?: string; job?: string }>
}) {
  const { knot, job: id } = await searchParams
  const job = id === undefined ? null : orNotFound(() => jobById(store(), Number(id)))
  const string = job && stringToTie(job, stringOf(job, job.position))
  const fastening = fasteningNamed(
    knot ?? job?.context.position.tail.fastening ?? 'two-loop, open bight',
  ) as Fastening
  if (!FASTENINGS.includes(fastening)) notFound()
  return (
    <KnotSheet
      key={fastening}
      fastening={fastening}
      habits={job?.habits ?? workshopSettings(store()).habits}
      string={string}
    />
  )
}
