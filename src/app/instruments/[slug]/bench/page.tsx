import type { Metadata } from 'next'
import { positionAt } from '@/core/instrument/instrument'
import { store } from '@/data/database'
import { houseSettings } from '@/data/house'
import { instrumentBySlug, positionId } from '@/data/instruments'
import { WindingBench } from '@/features/bench/WindingBench'
import { orNotFound } from '../../../or-not-found'

export const metadata: Metadata = { title: 'Winding bench' }

interface Props {
  readonly params: Promise<{ slug: string }>
  readonly searchParams: Promise<{ string?: string }>
}

export default async function BenchPage({ params, searchParams }: Props) {
  const { slug } = await params
  const number = Number((await searchParams).string ?? 1)
  const { instrument } = orNotFound(() => {
    const stored = instrumentBySlug(store(), slug)
    positionId(stored, number)
    return stored
  })
  return <WindingBench key={number} instrument={instrument} position={positionAt(instrument, number)} habits={houseSettings(store()).habits} />
}
