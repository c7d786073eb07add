import type { Metadata } from 'next'
import { store } from '@/data/store/database'
import { wearShelf } from '@/data/views/wear-shelf'
import { WearSheet } from '@/features/wear/WearSheet'
import { textOf, type Asked } from '../asked'

export const metadata: Metadata = { title: 'Wear' }

/** Instruments that are listed before all are asked for. */
const LISTED = 24

/** `?all=yes` lists every instrument. */
export default async function WearPage({ searchParams }: { readonly searchParams: Asked }) {
  const whole = textOf(await searchParams, 'all') !== ''
  const { instruments, sharp, ...shelf } = wearShelf(store())
  return (
    <WearSheet
      shelf={shelf}
      instruments={whole ? instruments : instruments.slice(0, LISTED)}
      all={instruments.length}
      sharp={sharp.slice(0, LISTED)}
    />
  )
}
