import type { Metadata } from 'next'
import { positionAt } from '@/core/instrument/instrument'
import { store } from '@/data/database'
import { instrumentBySlug, positionId } from '@/data/instruments'
import { BelongsSheet } from '@/features/belongs/BelongsSheet'
import { orNotFound } from '../../../or-not-found'

export const metadata: Metadata = { title: 'Does this new string belong here?' }

interface Props {
  readonly params: Promise<{ slug: string }>
  readonly searchParams: Promise<{ string?: string }>
}

export default async function BelongsPage({ params, searchParams }: Props) {
  const { slug } = await params
  const number = Number((await searchParams).string ?? 1)
  const { instrument } = orNotFound(() => {
    const stored = instrumentBySlug(store(), slug)
    positionId(stored, number)
    return stored
  })
  return <BelongsSheet key={number} instrument={instrument} position={positionAt(instrument, number)} />
}
