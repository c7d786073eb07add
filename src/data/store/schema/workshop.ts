/** The house itself: what it has set, its clock, its dates. */
import { SPARES_BY } from '@/core/wear/reorder'
import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { id, plainId } from './columns'

/** One row: what the house has set. */
export const house = sqliteTable('house', {
  id: plainId(),
  name: text('name').notNull(),
  /** Under its name on papers, a line each. */
  address: text('address').notNull().default(''),
  unit: text('unit', { enum: ['mm', 'in'] }).notNull(),
  gaugesInThou: integer('gauges_in_thou', { mode: 'boolean' }).notNull().default(false),
  timeZone: text('time_zone').notNull(),
  habits: text('habits').notNull(),
  retuneAtCents: real('retune_at_cents').notNull(),
  holdsWithinCents: real('holds_within_cents').notNull(),
  /** ISO 4217; prices are told in it beside the supplier's own. */
  currency: text('currency').notNull().default('EUR'),
  /** Cuts of each charted string to have in the stores. */
  leastSpares: integer('least_spares').notNull().default(1),
  /** Whether that number is kept, or as many as what breaks asks for until new ones can be there. */
  sparesBy: text('spares_by', { enum: SPARES_BY }).notNull().default('number'),
  /** Whether strings are kept in store; a house that keeps none is not asked about coils. */
  keepsStores: integer('keeps_stores', { mode: 'boolean' }).notNull().default(true),
  /** How long a concert lasts, h: so long must strings hold. */
  concertHours: real('concert_hours').notNull().default(2),
  /** When someone is there to tune, from and until, `09:00`, and on which days, Monday 1 to Sunday 7: JSON. */
  opensAt: text('open_from').notNull().default('09:00'),
  closesAt: text('open_until').notNull().default('18:00'),
  openDays: text('open_days').notNull().default('[1,2,3,4,5,6,7]'),
  /** What new instruments are tuned to, Hz. */
  referenceA: real('reference_a_hz').notNull().default(440),
  /** With what chance an evening shall pass without a break, and a kit or the stores suffice. */
  sureChance: real('sure_chance').notNull().default(0.95),
  /** The least share of its load that a frame keeps while strings are changed. */
  loadShare: real('load_share').notNull().default(0.85),
  /** What an hour's work is worth, in hundredths of the house's money. */
  hourMinor: integer('hour_minor').notNull().default(3000),
  /** Names of the people who work here: JSON. */
  people: text('people').notNull().default('[]'),
})

/** One row: how far the demo's clock runs from the machine's. */
export const clock = sqliteTable('clock', {
  id: plainId(),
  demoDate: text('demo_date').notNull(),
  offsetMs: integer('offset_ms').notNull(),
})

/** One row: tells this house from every other, wherever its archive goes. */
export const workshopKeys = sqliteTable('house_key', {
  id: plainId(),
  key: text('key').notNull(),
})

/** A day the strings must be ready for. */
export const occasions = sqliteTable('occasion', {
  id: id(),
  name: text('name').notNull(),
  at: integer('at').notNull(),
  /** How long it lasts, h; null for as long as the house's concerts do. */
  hours: real('hours'),
  /** Slugs of the instruments that it is for: JSON; none for all of them. */
  instruments: text('instruments').notNull().default('[]'),
})

/** The air of the room that the instruments stand in. */
export const roomReadings = sqliteTable(
  'room_reading',
  {
    id: id(),
    at: integer('at').notNull(),
    celsius: real('celsius'),
    /** Relative humidity, %. */
    humidity: real('humidity'),
  },
  (t) => [index('room_when').on(t.at)],
)
