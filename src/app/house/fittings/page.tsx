import type { Metadata } from 'next'
import { store } from '@/data/store/database'
import { pastFittings } from '@/data/views/fitting-history'
import { workshopLearned } from '@/data/jobs/learned'
import { FittingHistory } from '@/features/workshop/FittingHistory'
import { askedPage, type Asked } from '../../asked'

export const metadata: Metadata = { title: 'Worked out and measured' }

/** Kinds of pin and fastening that are shown: those that were fitted most. */
const KINDS = 30

/** `?page=` goes back in the fittings. */
export default async function FittingsPage({ searchParams }: { readonly searchParams: Asked }) {
  const page = askedPage(await searchParams)
  const learned = workshopLearned(store())
  const past = pastFittings(store(), page)
  return (
    <FittingHistory
      past={past}
      kinds={learned.kinds.length}
      learned={learned.kinds
        .slice(0, KINDS)
        .map((kind) => ({ kind, corrections: learned.correctionsFor(kind) }))}
    />
  )
}
