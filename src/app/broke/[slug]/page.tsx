import type { Metadata } from 'next'
import { instrumentBySlug } from '@/data/instruments/instruments'
import { store } from '@/data/store/database'
import { openJobNumbers } from '@/data/views/instrument-view'
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
  const jobs = openJobNumbers(store(), stored)
  return (
    <NamesAs scheme={stored.habits.octaveNames}>
      <WhichBroke instrument={stored.instrument} broken={[...jobs.keys()]} jobs={Object.fromEntries(jobs)} />
    </NamesAs>
  )
}
