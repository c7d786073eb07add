/**
 * Addresses of pages and of files to take away. No address is written as text anywhere else; a test holds each to a route
 * that exists.
 */
import type { Period } from '@/core/wear/period'
import type { Drill } from '@/core/practice/drill'
import type { Fastening } from '@/core/knots/tying'

/** A list's filter or what a page is to show; what is empty is left out of its address. */
type Query = Readonly<Record<string, string | number | null | undefined>>

/**
 * An address with what is asked of it.
 *
 * @example withQuery('/stores', { text: 'gut', by: '' }) // '/stores?text=gut'
 */
export function withQuery<Path extends string>(path: Path, query: Query): Path | `${Path}?${string}` {
  const told = Object.entries(query).flatMap(([key, value]) =>
    value === '' || value === null || value === undefined ? [] : [[key, String(value)]],
  )
  return told.length === 0 ? path : `${path}?${new URLSearchParams(told).toString()}`
}

/** The sheets of a job, in the order of the work. */
export type SheetOfJob = 'coil' | 'figures' | 'steps' | 'log' | 'done' | 'card' | 'habits' | 'report'

/** The sheets of an instrument beside its field. */
export type SheetOfInstrument =
  | 'about'
  | 'measuring'
  | 'photo'
  | 'measuring-sheet'
  | 'chart'
  | 'hardware'
  | 'which'
  | 'belongs'
  | 'tune'
  | 'round'
  | 'wear'
  | 'inspection'
  | 'restring'
  | 'bench'
  | 'habits'

export const pages = {
  today: '/',
  allOfToday: '/?all=yes',
  broke: '/broke',
  /** Which string of an instrument broke. */
  brokeOn: (slug: string) => `/broke/${slug}` as const,

  instruments: '/instruments',
  newInstrument: '/instruments/new',
  /** Its string field, with a string picked. */
  instrument: (slug: string, string?: number) => withQuery(`/instruments/${slug}`, { string }),
  instrumentSheet: (slug: string, sheet: SheetOfInstrument, string?: number) =>
    withQuery(`/instruments/${slug}/${sheet}`, { string }),

  /** What its owner is told of its last restring. */
  restringReport: (slug: string) => `/instruments/${slug}/restring/report` as const,

  job: (id: number) => `/jobs/${id}` as const,
  jobSheet: (id: number, sheet: SheetOfJob) => `/jobs/${id}/${sheet}` as const,

  /** Everything that settles. */
  settling: '/settling',
  allSettling: '/settling?all=yes',
  room: '/settling/room',
  settlingString: (fittedId: number, positionId: number) =>
    withQuery(`/settling/${fittedId}`, { at: positionId }),
  visits: (date?: number) => withQuery('/settling/visits', { date }),

  /** What breaks, and what will. */
  wear: '/wear',
  wearAhead: (within: Period) => withQuery('/wear', { within }),
  allWear: (within: Period) => withQuery('/wear', { all: 'yes', within }),
  wearWithin: (slug: string, within: Period, string: number) =>
    withQuery(`/instruments/${slug}/wear`, { within, string }),
  /** An instrument before a date: what to change and to carry. */
  /** What to carry for all instruments of a date. */
  kitFor: (date: number) => withQuery('/wear/kit', { date }),
  beforeDate: (date?: number, on?: string) => withQuery('/wear/before', { date, on }),

  /** Practice; with the drills of one instrument. */
  practice: '/practice',
  practiceOn: (slug: string) => withQuery('/practice', { on: slug }),
  /** A go of what is due. */
  practiceDue: '/practice/due',
  /** One drill on one instrument; with a card that is asked first. */
  drill: (drill: Drill, slug: string, card?: string) => withQuery(`/practice/${drill}/${slug}`, { card }),

  knots: '/knots',
  /** How one is tied, for a job where one is given. */
  knot: (knot: Fastening, job?: number) => withQuery('/knots', { knot, job }),

  stores: '/stores',
  bookIn: '/stores#book-in',
  coils: (filter: Query) => withQuery('/stores', filter),
  coil: (id: number) => `/stores/coils/${id}` as const,
  cutting: '/stores/cutting',
  smallThings: '/stores/small-things',
  labels: '/stores/labels',
  labelsOf: (coilIds: readonly number[]) => withQuery('/stores/labels', { coils: coilIds.join() }),

  orders: '/orders',
  allListed: '/orders?listed=all',
  allSuggested: '/orders?suggested=all',
  ordersBefore: (id: number) => withQuery('/orders', { before: id }),
  order: (id: number) => `/orders/${id}` as const,
  suppliers: '/orders/suppliers',
  supplier: (slug: string) => `/orders/suppliers/${slug}` as const,

  history: '/history',
  historyOf: (filter: Query) => withQuery('/history', filter),

  workshop: '/house',
  workshopHabits: '/house/habits',
  dates: '/house/dates',
  archive: '/house/archive',
  backups: '/house/backups',
  fittings: '/house/fittings',
} as const

/** What is taken away as a file. */
export const files = {
  chart: (slug: string, as: 'csv' | 'json') => `/api/instruments/${slug}/chart?as=${as}`,
  archive: '/api/archive',
  archiveWithoutPictures: '/api/archive?pictures=no',
  /** The lines of an invoice for its last restring. */
  invoice: (slug: string) => `/api/instruments/${slug}/restring/invoice`,
  picture: (hash: string) => `/api/pictures/file/${hash}`,
  calendar: '/api/dates/calendar.ics',
  /** Visits to settling strings until a date, as iCalendar with alarms. */
  visits: (date: number) => `/api/settling/visits.ics?date=${date}`,
  /** A temperament as a Scala file. */
  temperament: (name: string) => `/api/temperaments/file?${new URLSearchParams({ name }).toString()}`,
  catalogue: (slug: string) => `/api/suppliers/${slug}/catalogue`,
  orderSheet: (id: number, as: 'csv' | 'text') => `/api/orders/${id}/sheet?as=${as}`,
} as const
