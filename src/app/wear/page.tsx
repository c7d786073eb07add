import type { Metadata } from 'next'
import { PERIODS } from '@/core/wear/period'
import { store } from '@/data/store/database'
import { wearShelf } from '@/data/views/wear-shelf'
import { WearSheet } from '@/features/wear/WearSheet'
import { oneOf, textOf, type Asked } from '../asked'

export const metadata: Metadata = { title: 'Wear' }

/** Instruments that are listed before all are asked for. */
const LISTED = 24

/** `?all=yes` lists every instrument; `within=` asks for another time than a year. */
export default async function WearPage({ searchParams }: { readonly searchParams: Asked }) {
  const asked = await searchParams
  const whole = textOf(asked, 'all') !== ''
  const within = oneOf(PERIODS, textOf(asked, 'within')) ?? 'a year'
  const { instruments, sharp, ...shelf } = wearShelf(store(), within)
  return (
    <WearSheet
      shelf={shelf}
      instruments={whole ? instruments : instruments.slice(0, LISTED)}
      all={instruments.length}
      sharp={sharp.slice(0, LISTED)}
    />
  )
}
