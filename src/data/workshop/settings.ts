/**
 * What the house has set: units, habits, tolerances.
 */
import { habitsNamed } from '@/core/fitting/habit-values'
import { DEFAULT_HABITS, type HabitChange, type Habits } from '@/core/fitting/habits'
import type { LengthUnit } from '@/core/units/length'
import type { SparesBy } from '@/core/wear/reorder'
import { Refusal } from '@/boundary/refusal'
import type { Store } from '../store/database'
import { house } from '../store/schema'

export interface Workshop {
  readonly name: string
  /** Under its name on papers: street, town, telephone, a line each. */
  readonly address: string
  readonly unit: 'mm' | 'in'
  /** Whether gauges are in thousandths of an inch, whatever lengths are in. */
  readonly gaugesInThou: boolean
  readonly timeZone: string
  readonly habits: Habits
  /** A settling string is brought back when it has fallen so far, cents. */
  readonly retuneAtCents: number
  /** What counts as in tune before people, cents. */
  readonly holdsWithinCents: number
  /** ISO 4217. */
  readonly currency: string
  /** Cuts of each charted string to have in the stores. */
  readonly leastSpares: number
  /** Whether that number is kept, or as many as what breaks asks for until new ones can be there. */
  readonly sparesBy: SparesBy
  /** Whether it keeps strings in store. */
  readonly keepsStores: boolean
  /** How long a concert lasts, h. */
  readonly concertHours: number
  /** When someone is there to tune, by the house's clocks: `09:00`. */
  readonly opensAt: string
  readonly closesAt: string
  /** Days on which someone is there, Monday 1 to Sunday 7. */
  readonly openDays: readonly number[]
  /** What new instruments are tuned to, Hz. */
  readonly referenceA: number
  /** With what chance an evening shall pass without a break, and a kit or the stores suffice. */
  readonly sureChance: number
  /** The least share of its load that a frame keeps while strings are changed. */
  readonly loadShare: number
  /** What an hour’s work is worth, in hundredths of the house’s money. */
  readonly hourMinor: number
  /** Who works here, for the record. */
  readonly people: readonly string[]
}

const STARTING: Workshop = {
  name: '',
  address: '',
  unit: 'mm',
  gaugesInThou: false,
  timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  habits: DEFAULT_HABITS,
  retuneAtCents: 15,
  holdsWithinCents: 5,
  currency: 'EUR',
  leastSpares: 1,
  sparesBy: 'number',
  keepsStores: true,
  concertHours: 2,
  opensAt: '09:00',
  closesAt: '18:00',
  openDays: [1, 2, 3, 4, 5, 6, 7],
  referenceA: 440,
  sureChance: 0.95,
  loadShare: 0.85,
  hourMinor: 3000,
  people: [],
}

/** The house's settings; what was never set keeps its default. */
export function workshopSettings(store: Store): Workshop {
  return store.cache.get('house', [house], () => readWorkshop(store))
}

function readWorkshop(store: Store): Workshop {
  const row = store.rows.select().from(house).get()
  if (!row) return STARTING
  return {
    name: row.name,
    address: row.address,
    unit: row.unit,
    gaugesInThou: row.gaugesInThou,
    timeZone: row.timeZone,
    habits: { ...DEFAULT_HABITS, ...habitChange(row.habits) },
    retuneAtCents: row.retuneAtCents,
    holdsWithinCents: row.holdsWithinCents,
    currency: row.currency,
    leastSpares: row.leastSpares,
    sparesBy: row.sparesBy,
    keepsStores: row.keepsStores,
    concertHours: row.concertHours,
    opensAt: row.opensAt,
    closesAt: row.closesAt,
    openDays: JSON.parse(row.openDays) as number[],
    referenceA: row.referenceA,
    sureChance: row.sureChance,
    loadShare: row.loadShare,
    hourMinor: row.hourMinor,
    people: JSON.parse(row.people) as string[],
  }
}

/** What gauges are typed and written in. */
export function gaugeUnitOf({ unit, gaugesInThou }: Pick<Workshop, 'unit' | 'gaugesInThou'>): LengthUnit {
  return gaugesInThou ? 'thou' : unit
}

/** Whether the house has been begun: an empty folder has settings that nobody chose. */
export function isBegun(store: Store): boolean {
  return store.cache.get(
    'begun',
    [house],
    () => store.rows.select({ id: house.id }).from(house).get() !== undefined,
  )
}

/**
 * Begins a house in an empty folder: its name, unit and money; the rest has its defaults.
 *
 * @throws Refusal 409 when it has been begun
 */
export function beginWorkshop(
  store: Store,
  begun: Pick<Workshop, 'name' | 'unit' | 'currency' | 'timeZone'> & Partial<Pick<Workshop, 'gaugesInThou'>>,
) {
  if (isBegun(store))
    throw new Refusal(409, 'The house has been begun already; change its settings under House.')
  return changeWorkshop(store, begun, `${begun.name} begun`)
}

/** Settings as their row. */
export function workshopRow({ habits, people, openDays, ...plain }: Workshop) {
  return {
    ...plain,
    habits: JSON.stringify(habits),
    people: JSON.stringify(people),
    openDays: JSON.stringify(openDays),
  }
}

/** Habits as they stand in a row: only those that were set. */
export function habitChange(json: string): HabitChange {
  return habitsNamed(JSON.parse(json) as HabitChange)
}

/** Changes settings, as one action. */
export function changeWorkshop(store: Store, change: Partial<Workshop>, summary = 'House settings changed') {
  const next = { ...workshopSettings(store), ...change }
  if (next.closesAt <= next.opensAt)
    throw new Refusal(400, 'The house closes later in the day than it opens.', 'closesAt')
  const row = workshopRow(next)
  return store.act({ kind: 'house', summary }, () => {
    store.rows
      .insert(house)
      .values({ id: 1, ...row })
      .onConflictDoUpdate({ target: house.id, set: row })
      .run()
  })
}
