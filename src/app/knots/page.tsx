import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { TAIL_FASTENINGS, type TailFastening } from '@/core/knots/fastenings'
import { tieOf } from '@/core/knots/ties/ties'
import { store } from '@/data/database'
import { houseSettings } from '@/data/house'
import { KnotSheet } from '@/features/knots/KnotSheet'

export const metadata: Metadata = { title: 'Knots' }

export default async function KnotsPage({ searchParams }: { searchParams: Promise<{ knot?: string }> }) {
  const ties = TAIL_FASTENINGS.flatMap((fastening) => tieOf(fastening) ?? [])
  const { knot = 'two-loop, open bight' } = await searchParams
  const tie = tieOf(knot as TailFastening)
  if (!tie) notFound()
  return <KnotSheet key={tie.fastening} ties={ties} tie={tie} hand={houseSettings(store()).habits.hand} />
}
