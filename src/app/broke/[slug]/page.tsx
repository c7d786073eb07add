import type { Metadata } from 'next'
import { instrumentBySlug } from '@/data/instruments/instruments'
import { store } from '@/data/store/database'
import { instrumentView } from '@/data/views/instrument-view'
import { WhichBroke } from '@/features/breaks/WhichBroke'
import { NamesAs } from '@/ui/units'
import { orNotFound } from '../../or-not-found'

export const metadata: Metadata = { title: 'Which string broke?' }

interface Props {
  readonly params: Promise<{ slug: string }>
}

/** The string of an instrument that broke: found by its name or pointed at, and then where it gave way. */
export default async function WhichBrokePage({ params }: Props) {
  const { slug } = await params
  const stored = orNotFound(() => instrumentBySlug(store(), slug))
  const { instrument, positions, broken } = instrumentView(store(), stored)
  const jobs = Object.fromEntries(
    Object.entries(positions).flatMap(([number, { jobId }]) => (jobId === null ? [] : [[number, jobId]])),
  )
  return (
    <NamesAs scheme={stored.habits.octaveNames}>
      <WhichBroke instrument={instrument} broken={broken} jobs={jobs} />
    </NamesAs>
  )
}
