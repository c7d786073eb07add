/**
 * Three invented suppliers: one near, one far and cheap with long packets and sets, one quick and dear.
 */
import { fittingFigures } from '@/core/fitting/figures'
import { DEFAULT_HABITS } from '@/core/fitting/habits'
import type { Instrument, StringPosition } from '@/core/instrument/instrument'
import { itemAt } from '@/core/list/item-at'
import { requireValue } from '@/core/list/require-value'
import { seeded } from '@/core/random/seeded'
import { specAt, specKey } from '@/core/stores/string-spec'
import { materialWord, outerGauge } from '@/core/strings/construction'
import type { CatalogueItem } from '@/core/stores/catalogue-cells'
import type { SupplierLine } from '@/data/demo/shelf-files'
import { kindOf, MAKERS } from './makers'

export const SUPPLIERS: readonly SupplierLine[] = [
  {
    slug: 'gannet-street',
    name: 'Gannet Street Strings',
    currency: 'EUR',
    rate: 1,
    postageMinor: 690,
    freeOverMinor: 8000,
    leadDays: 4,
  },
  {
    slug: 'weir-and-wharf',
    name: 'Weir & Wharf',
    currency: 'GBP',
    rate: 1.17,
    postageMinor: 950,
    freeOverMinor: 12000,
    leadDays: 9,
  },
  {
    slug: 'post-barrow',
    name: 'The Post Barrow',
    currency: 'EUR',
    rate: 1,
    postageMinor: 420,
    freeOverMinor: null,
    leadDays: 2,
  },
]

interface Trade {
  /** Share of all strings that it sells. */
  readonly sells: number
  /** Strings that one packet yields, at most; a bass packet yields one. */
  readonly yields: number
  /** Against the usual price. */
  readonly price: number
  readonly stock: number
  readonly prefix: string
}

const TRADES: Readonly<Record<string, Trade>> = {
  'gannet-street': { sells: 0.86, yields: 1, price: 1, stock: 6, prefix: 'GS' },
  'weir-and-wharf': { sells: 0.94, yields: 3, price: 0.82, stock: 9, prefix: 'WW' },
  'post-barrow': { sells: 0.62, yields: 1, price: 1.36, stock: 2, prefix: 'PB' },
}
/** A price to begin with and what each metre adds, minor units. */
const PRICES = {
  gut: [420, 900],
  silk: [600, 700],
  nylon: [180, 160],
  wire: [90, 40],
  wound: [520, 480],
} as const

/** Strings that a set at Weir & Wharf holds. */
const SETS: readonly { readonly slug: string; readonly numbers: readonly number[]; readonly name: string }[] =
  [
    { slug: 'fennel', numbers: [22, 23, 24, 25, 26, 27], name: 'lever harp, wound nylon basses' },
    { slug: 'sorrel', numbers: [32, 33, 34, 35, 36], name: 'lever harp, wire basses' },
    { slug: 'chervil', numbers: [1, 2, 3, 4, 5, 6, 7], name: 'lap harp, nylon trebles' },
  ]

/** Every supplier's catalogue, by the supplier's address. */
export function catalogues(
  instruments: readonly Instrument[],
): ReadonlyMap<string, readonly CatalogueItem[]> {
  const wanted = new Map<string, { readonly instrument: Instrument; readonly position: StringPosition }>()
  for (const instrument of instruments) {
    for (const position of instrument.positions) {
      const key = specKey(specAt(position, instrument.tensionClass))
      // Packets are as long as the longest place they serve.
      if (!wanted.has(key) || (wanted.get(key)?.position.freeLength ?? 0) < position.freeLength)
        wanted.set(key, { instrument, position })
    }
  }
  const random = seeded(11)
  return new Map(
    SUPPLIERS.map(({ slug }) => {
      const trade = requireValue(TRADES[slug])
      const packets = [...wanted].flatMap(([key, { instrument, position }], i) =>
        random() < trade.sells || isInSet(slug, instruments, key)
          ? [packet(trade, instrument, position, i, random)]
          : [],
      )
      return [
        slug,
        [
          ...packets,
          ...(slug === 'weir-and-wharf' ? SETS.map((set, i) => setOf(set, i, instruments, packets)) : []),
        ],
      ] as const
    }),
  )
}

function isInSet(slug: string, instruments: readonly Instrument[], key: string): boolean {
  return slug === 'weir-and-wharf' && SETS.some((set) => keysOf(set, instruments).includes(key))
}

function keysOf(
  { slug, numbers }: (typeof SETS)[number],
  instruments: readonly Instrument[],
): readonly string[] {
  const instrument = requireValue(instruments.find((one) => one.slug === slug))
  return numbers.map((number) =>
    specKey(specAt(itemAt(instrument.positions, number - 1), instrument.tensionClass)),
  )
}

function packet(
  trade: Trade,
  instrument: Instrument,
  position: StringPosition,
  index: number,
  random: () => number,
): CatalogueItem {
  const spec = { ...specAt(position, instrument.tensionClass), tensionClass: instrument.tensionClass }
  const kind = kindOf(position)
  const [maker, line] = MAKERS[kind]
  const cut = fittingFigures(instrument, position, DEFAULT_HABITS).cut.total
  const strings =
    spec.end === 'loop' || cut > 1.1
      ? 1
      : kind === 'wire'
        ? trade.yields * 2
        : Math.min(trade.yields, cut < 0.5 ? 3 : 2)
  const length = Math.ceil(cut * strings * 1.05 * 10) / 10
  const [base, perMetre] = PRICES[kind]
  const priceMinor = Math.round(
    (base + perMetre * length * (0.7 + 0.3 * outerGauge(position.construction) * 1000)) *
      trade.price *
      (0.92 + 0.16 * random()),
  )
  return {
    ...spec,
    part: `${trade.prefix}${String(index + 101)}`,
    name: `${materialWord(spec.construction)} ${(outerGauge(spec.construction) * 1000).toFixed(2)}${spec.colour === 'natural' ? '' : `, ${spec.colour}`}`,
    maker,
    line,
    soldAs: 'one string',
    length,
    pieces: 1,
    priceMinor,
    stock: Math.floor((trade.stock + 1) * random()),
    setOf: null,
  }
}

function setOf(
  set: (typeof SETS)[number],
  index: number,
  instruments: readonly Instrument[],
  packets: readonly CatalogueItem[],
): CatalogueItem {
  const parts = keysOf(set, instruments).map((key) =>
    requireValue(packets.find((item) => specKey(item) === key)),
  )
  const counted = [...new Set(parts)].map((item) => ({
    item,
    count: parts.filter((other) => other === item).length,
  }))
  const first = itemAt(parts, 0)
  return {
    ...first,
    part: `WWS${index + 1}`,
    name: `Set: ${set.name}`,
    priceMinor: Math.round(parts.reduce((sum, item) => sum + item.priceMinor, 0) * 0.72),
    stock: 3,
    pieces: 1,
    setOf: counted.map(({ item, count }) => ({ part: item.part, count })),
  }
}

/** Small things in the stores. */
export const SUPPLIES = [
  { kind: 'anchor', name: 'gut anchors', place: 'Tin on the bench', count: 14, least: 10 },
  { kind: 'bead', name: 'glass beads, 4 mm', place: 'Tin on the bench', count: 9, least: 12 },
  { kind: 'glue', name: 'thin cyanoacrylate, 3 g tubes', place: 'Fridge', count: 2, least: 1 },
] as const
