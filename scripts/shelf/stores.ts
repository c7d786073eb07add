/**
 * The coils on the Lantern Shelf: a packet for most positions, some opened long ago, a few positions left without.
 */
import { fittingFigures } from '@/core/fitting/figures'
import { DEFAULT_HABITS } from '@/core/fitting/habits'
import type { Instrument, StringPosition } from '@/core/instrument/instrument'
import { endToOrder } from '@/core/knots/fastenings'
import { itemAt } from '@/core/list/item-at'
import { outerGauge } from '@/core/strings/construction'
import { constructionColumns } from '@/data/store/construction-columns'
import { seeded } from '@/core/random/seeded'
import { kindOf, MAKERS } from './makers'

export interface CoilLine extends ReturnType<typeof constructionColumns> {
  readonly label: string
  readonly colour: string
  readonly tensionClass: string
  readonly end: string
  readonly maker: string
  readonly line: string
  readonly place: string
  readonly boughtDaysAgo: number
  readonly lengthMm: number
}

/** Positions whose packet is out of stock, by instrument. */
const OUT_OF_STOCK: Readonly<Record<string, readonly number[]>> = {
  lovage: [3, 13, 30, 41],
  fennel: [22, 23, 24, 25, 26, 27, 30],
  teasel: [],
  sorrel: [9, 32],
  bryony: [14],
  chervil: [5],
  orris: [2],
}

/** Positions with packets of their own beside the first, in mm and days ago. */
const EXTRA: readonly { slug: string; number: number; lengthMm: number; boughtDaysAgo: number }[] = [
  { slug: 'lovage', number: 22, lengthMm: 2000, boughtDaysAgo: 640 },
  { slug: 'lovage', number: 22, lengthMm: 1200, boughtDaysAgo: 712 },
  { slug: 'teasel', number: 1, lengthMm: 2500, boughtDaysAgo: 500 },
  { slug: 'fennel', number: 11, lengthMm: 1500, boughtDaysAgo: 410 },
]

/** One line a coil, numbered in the order they were bought. */
export function coilLines(instruments: readonly Instrument[]): readonly CoilLine[] {
  const random = seeded(47)
  const wanted = instruments.flatMap((instrument) => {
    const extra = EXTRA.filter((e) => e.slug === instrument.slug)
    const first = instrument.positions
      .filter(
        (p, i) =>
          instrument.positions[i - 1]?.piece !== p.piece &&
          !OUT_OF_STOCK[instrument.slug]?.includes(p.number),
      )
      .filter(
        (p, i, all) =>
          all.findIndex(
            (q) => outerGauge(q.construction) === outerGauge(p.construction) && q.colour === p.colour,
          ) === i,
      )
      .map((p) => ({
        position: p,
        lengthMm: packetLength(instrument, p),
        boughtDaysAgo: Math.round(60 + 600 * random()),
      }))
    return [
      ...first,
      ...extra.map((e) => ({ ...e, position: itemAt(instrument.positions, e.number - 1) })),
    ].map((line) => ({ ...line, instrument }))
  })
  return wanted
    .sort((a, b) => b.boughtDaysAgo - a.boughtDaysAgo)
    .map(({ instrument, position, lengthMm, boughtDaysAgo }, i) => {
      const [maker, line] = MAKERS[kindOf(position)]
      return {
        label: `Packet ${i + 1}`,
        ...constructionColumns(position.construction),
        colour: position.colour,
        tensionClass: instrument.tensionClass,
        end: endToOrder(position.tail.fastening),
        maker,
        line,
        place: `Drawer ${'ABCDEFGHIJ'[instruments.indexOf(instrument)]}${1 + Math.floor((position.number - 1) / 8)}`,
        boughtDaysAgo,
        lengthMm,
      }
    })
}

/** Packets hold two or three treble strings, or one bass; steel wire comes in coils of ten metres, with loops one by one. */
function packetLength(instrument: Instrument, position: StringPosition): number {
  const looped = endToOrder(position.tail.fastening) === 'loop'
  if (kindOf(position) === 'wire' && !looped) return 10_000
  const cut = fittingFigures(instrument, position, DEFAULT_HABITS).cut.total * 1000
  const most = looped ? 1 : cut < 420 ? 3 : cut < 700 ? 2 : 1
  return Math.ceil((cut * most * 1.06) / 100) * 100
}
