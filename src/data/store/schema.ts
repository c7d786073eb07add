/**
 * The tables. Lengths carry their unit in their names; times are milliseconds since 1970 in UTC. Every table that a
 * person's action writes to has an integer `id`, which the journal needs to undo it.
 */
import { sql } from 'drizzle-orm'
import {
  type AnySQLiteColumn,
  check,
  index,
  integer,
  real,
  sqliteTable,
  text,
  uniqueIndex,
} from 'drizzle-orm/sqlite-core'
import type { Habits } from '@/core/fitting/habits'
import type { CalledBy, CountedFrom } from '@/core/instrument/called'
import type { Family } from '@/core/instrument/family'
import type { Mechanism, StringColour, Strung, TensionClass } from '@/core/instrument/instrument'
import type { HeadFastening, TailFastening } from '@/core/knots/fastenings'
import type { StringEnd } from '@/core/stores/string-spec'
import type { SupplyKind } from '@/core/stores/supplies'
import type { Material } from '@/core/strings/materials'
import type { ReadingKind } from '@/core/settle/readings'
import type { Mishap } from '@/core/fitting/mishaps'
import type { Asked, StepKey } from '@/core/fitting/step'
import type { PinSetting, TurnedBy, Turning } from '@/core/winding/pin'
import type { BreakSite } from '@/core/wear/break-sites'

/** Never given twice: what is gone, or was undone, keeps its number for itself. */
const id = () => integer('id').primaryKey({ autoIncrement: true })
/** Of a table that has one row, or that nothing is ever taken from. */
const plainId = () => integer('id').primaryKey()

type Stretching = Habits['stretching']

/** What a string is made of; a plain string leaves core, bedding and wrap empty. */
const construction = () => ({
  material: text('material').$type<Material>().notNull(),
  gaugeMm: real('gauge_mm').notNull(),
  coreMm: real('core_mm'),
  beddingMaterial: text('bedding_material').$type<Material>(),
  beddingMm: real('bedding_mm'),
  wrapMaterial: text('wrap_material').$type<Material>(),
  wrapMm: real('wrap_mm'),
})

/** What a catalogue says of a packet; what a set holds is JSON `[{ "part": "…", "count": 1 }]`, null for a packet. */
const packet = () => ({
  part: text('part').notNull(),
  name: text('name').notNull(),
  ...construction(),
  colour: text('colour').$type<StringColour>().notNull(),
  tensionClass: text('tension_class').$type<TensionClass>().notNull(),
  end: text('end').$type<StringEnd>().notNull(),
  maker: text('maker').notNull(),
  line: text('line').notNull(),
  lengthMm: real('length_mm').notNull(),
  pieces: integer('pieces').notNull(),
  priceMinor: integer('price_minor').notNull(),
  setOf: text('set_of'),
})

/** One row: what the house has set. */
export const house = sqliteTable('house', {
  id: plainId(),
  name: text('name').notNull(),
  unit: text('unit').$type<'mm' | 'in'>().notNull(),
  timeZone: text('time_zone').notNull(),
  habits: text('habits').notNull(),
  retuneAtCents: real('retune_at_cents').notNull(),
  holdsWithinCents: real('holds_within_cents').notNull(),
  /** ISO 4217; prices are told in it beside the supplier's own. */
  currency: text('currency').notNull().default('EUR'),
  /** Cuts of each charted string to have in the stores. */
  leastSpares: integer('least_spares').notNull().default(1),
  /** Whether strings are kept in store; a house that keeps none is not asked about coils. */
  keepsStores: integer('keeps_stores', { mode: 'boolean' }).notNull().default(true),
  /** How long a concert lasts, h: so long must strings hold. */
  concertHours: real('concert_hours').notNull().default(2),
  /** What new instruments are tuned to, Hz. */
  referenceA: real('reference_a_hz').notNull().default(440),
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
export const houseKeys = sqliteTable('house_key', {
  id: plainId(),
  key: text('key').notNull(),
})

export const instruments = sqliteTable('instrument', {
  id: id(),
  slug: text('slug').notNull().unique(),
  name: text('name').notNull(),
  family: text('family').$type<Family>().notNull(),
  maker: text('maker').notNull(),
  model: text('model').notNull(),
  owner: text('owner').notNull(),
  tensionClass: text('tension_class').$type<TensionClass>().notNull(),
  restTuning: text('rest_tuning').notNull(),
  referenceA: real('reference_a_hz').notNull(),
  lies: text('lies').notNull(),
  calledBy: text('called_by').$type<CalledBy>().notNull().default('harp octave'),
  countedFrom: text('counted_from').$type<CountedFrom>().notNull().default('top'),
  strung: text('strung').$type<Strung>().notNull().default('as usual'),
  /** Habits of its own, where they differ from the house's: JSON. */
  habits: text('habits').notNull().default('{}'),
  /** Keys of what was measured of it: JSON. Null where its chart came whole, and nothing of it is assumed. */
  measured: text('measured'),
  /** What its owner or a technician should know. */
  notes: text('notes').notNull().default(''),
  /** Where the maker's string chart is to be found. */
  chartLink: text('chart_link').notNull().default(''),
  /** Since when it is no longer on the shelf; its history stays. */
  retiredAt: integer('retired_at'),
})

export const positions = sqliteTable(
  'string_position',
  {
    id: id(),
    instrumentId: integer('instrument_id')
      .notNull()
      .references(() => instruments.id),
    number: integer('number').notNull(),
    makerLabel: text('maker_label'),
    /** What its players call it, where they name strings by role. */
    role: text('role'),
    askedMake: text('asked_make'),
    note: text('note').notNull(),
    colour: text('colour').$type<StringColour>().notNull(),
    ...construction(),
    speakingMm: real('speaking_mm').notNull(),
    freeMm: real('free_mm').notNull(),
    mechanism: text('mechanism').$type<Mechanism>(),
    piece: integer('piece').notNull(),
    headFastening: text('head_fastening').$type<HeadFastening>().notNull(),
    tailFastening: text('tail_fastening').$type<TailFastening>().notNull(),
    boardMm: real('board_mm').notNull(),
    eyeletBoreMm: real('eyelet_bore_mm'),
    postMm: real('post_mm'),
    pinSetting: text('pin_setting').$type<PinSetting>().notNull().default('through the neck'),
    turnedBy: text('turned_by').$type<TurnedBy>().notNull().default('key'),
    pinMm: real('pin_mm').notNull(),
    gearRatio: real('gear_ratio').notNull(),
    tightens: text('tightens').$type<Turning>().notNull(),
    threadMm: real('thread_mm'),
    pinHeightMm: real('pin_height_mm').notNull(),
    heightDatum: text('height_datum').$type<'top of pin' | 'string hole'>().notNull(),
    holeToEndMm: real('hole_to_end_mm').notNull(),
    bridgeHeightMm: real('bridge_height_mm').notNull(),
    toBridgeMm: real('to_bridge_mm').notNull(),
    tailX: real('tail_x_mm').notNull(),
    tailY: real('tail_y_mm').notNull(),
    bridgeX: real('bridge_x_mm').notNull(),
    bridgeY: real('bridge_y_mm').notNull(),
    pinX: real('pin_x_mm').notNull(),
    pinY: real('pin_y_mm').notNull(),
    /** Columns of its hardware that somebody measured, or looked at and found right: JSON. The others are assumed where the instrument came from a preset. */
    hardwareMeasured: text('hardware_measured').notNull().default('[]'),
  },
  (t) => [
    uniqueIndex('position_number').on(t.instrumentId, t.number),
    check(
      'position_lengths',
      sql`${t.speakingMm} > 0 AND ${t.freeMm} >= ${t.speakingMm} AND ${t.gaugeMm} > 0`,
    ),
  ],
)

/** Partial order: the upper string lies over the lower one and must come off first. */
export const coverings = sqliteTable(
  'covering',
  {
    id: id(),
    overId: integer('over_id')
      .notNull()
      .references(() => positions.id),
    underId: integer('under_id')
      .notNull()
      .references(() => positions.id),
  },
  (t) => [
    uniqueIndex('covering_once').on(t.overId, t.underId),
    check('covering_other', sql`${t.overId} <> ${t.underId}`),
  ],
)

/** One length of string in the stores: a packet's, a coil's or a remainder's. */
export const coils = sqliteTable(
  'coil',
  {
    id: id(),
    label: text('label').notNull(),
    ...construction(),
    colour: text('colour').$type<StringColour>().notNull(),
    tensionClass: text('tension_class').$type<TensionClass>().notNull(),
    maker: text('maker').notNull(),
    line: text('line').notNull(),
    place: text('place').notNull(),
    end: text('end').$type<StringEnd>().notNull().default('plain'),
    boughtAt: integer('bought_at').notNull(),
    openedAt: integer('opened_at'),
    boughtMm: real('bought_mm').notNull(),
    leftMm: real('left_mm').notNull(),
    /** It was in the hand and not in the stores, and nobody said how long it was. */
    inHand: integer('in_hand', { mode: 'boolean' }).notNull().default(false),
    /** When it was thrown away, with what was left of it. */
    discardedAt: integer('discarded_at'),
    /** The line of the order that it came with. */
    orderLineId: integer('order_line_id').references(() => orderLines.id),
  },
  (t) => [
    index('coil_came_with').on(t.orderLineId),
    index('coil_on_shelf')
      .on(t.id)
      .where(sql`left_mm > 0 AND discarded_at IS NULL`),
    check('coil_never_below_zero', sql`${t.leftMm} >= 0 AND ${t.boughtMm} > 0 AND ${t.gaugeMm} > 0`),
  ],
)

export const cuts = sqliteTable(
  'coil_cut',
  {
    id: id(),
    coilId: integer('coil_id')
      .notNull()
      .references(() => coils.id),
    jobId: integer('job_id').references(() => jobs.id),
    at: integer('at').notNull(),
    lengthMm: real('length_mm').notNull(),
  },
  (t) => [
    check('cut_positive', sql`${t.lengthMm} > 0`),
    index('cut_of').on(t.coilId),
    index('cut_for').on(t.jobId),
  ],
)

/** One physical string while it is on its positions. */
export const fittedStrings = sqliteTable(
  'fitted_string',
  {
    id: id(),
    instrumentId: integer('instrument_id')
      .notNull()
      .references(() => instruments.id),
    coilId: integer('coil_id').references(() => coils.id),
    ...construction(),
    fittedAt: integer('fitted_at').notNull(),
    endedAt: integer('ended_at'),
    /** It was on before and is put back: it settles as one that was moved, not as a new one. */
    moved: integer('moved', { mode: 'boolean' }).notNull().default(false),
    /** Cycles of helping it settle that were given when it was fitted. */
    stretchCycles: integer('stretch_cycles').notNull().default(0),
    stretchedBy: text('stretched_by').$type<Stretching>(),
  },
  (t) => [index('fitted_on').on(t.instrumentId, t.endedAt), index('fitted_now').on(t.endedAt, t.fittedAt)],
)

export const fittedPositions = sqliteTable(
  'fitted_position',
  {
    id: id(),
    fittedId: integer('fitted_id')
      .notNull()
      .references(() => fittedStrings.id),
    positionId: integer('position_id')
      .notNull()
      .references(() => positions.id),
  },
  (t) => [index('fitted_position_at').on(t.positionId), index('fitted_position_of').on(t.fittedId)],
)

export const breaks = sqliteTable(
  'string_break',
  {
    id: id(),
    /** Where it was seen to give way. */
    positionId: integer('position_id')
      .notNull()
      .references(() => positions.id),
    fittedId: integer('fitted_id').references(() => fittedStrings.id),
    at: integer('at').notNull(),
    site: text('site').$type<BreakSite>().notNull(),
  },
  (t) => [index('break_at').on(t.positionId), index('break_when').on(t.at)],
)

/** Replacing one string: from the break, or from the wish to replace it, to the logged fitting. */
export const jobs = sqliteTable(
  'job',
  {
    id: id(),
    positionId: integer('position_id')
      .notNull()
      .references(() => positions.id),
    breakId: integer('break_id').references(() => breaks.id),
    openedAt: integer('opened_at').notNull(),
    coilId: integer('coil_id').references(() => coils.id),
    /** The string came off whole and is put back; nothing is cut. */
    sameString: integer('same_string', { mode: 'boolean' }).notNull().default(false),
    /** Habits of its own, where they differ from the instrument's: JSON. */
    habits: text('habits').notNull().default('{}'),
    /** The job that this one is done together with; null where it is done alone, or leads the others. */
    leadId: integer('lead_id').references((): AnySQLiteColumn => jobs.id),
    finishedAt: integer('finished_at'),
  },
  (t) => [
    index('job_open').on(t.finishedAt),
    index('job_at').on(t.positionId),
    index('job_lead').on(t.leadId),
    index('job_coil').on(t.coilId),
  ],
)

/** How far a job has got: one row for each step done. */
export const jobSteps = sqliteTable(
  'job_step',
  {
    id: id(),
    jobId: integer('job_id')
      .notNull()
      .references(() => jobs.id, { onDelete: 'cascade' }),
    step: text('step').$type<StepKey>().notNull(),
    doneAt: integer('done_at').notNull(),
  },
  (t) => [uniqueIndex('job_step_once').on(t.jobId, t.step)],
)

/** What was measured while a job went on: one row for each thing. Lengths in mm; turns, wraps and cents as they are. */
export const jobMeasures = sqliteTable(
  'job_measure',
  {
    id: id(),
    jobId: integer('job_id')
      .notNull()
      .references(() => jobs.id, { onDelete: 'cascade' }),
    what: text('what').$type<Asked>().notNull(),
    value: real('value').notNull(),
    at: integer('at').notNull(),
  },
  (t) => [uniqueIndex('job_measure_once').on(t.jobId, t.what)],
)

/** What went wrong on the way. */
export const jobMishaps = sqliteTable(
  'job_mishap',
  {
    id: id(),
    jobId: integer('job_id')
      .notNull()
      .references(() => jobs.id, { onDelete: 'cascade' }),
    step: text('step').$type<StepKey>().notNull(),
    mishap: text('mishap').$type<Mishap>().notNull(),
    at: integer('at').notNull(),
    /** String that it cost; null where none was lost. */
    lostMm: real('lost_mm'),
  },
  (t) => [index('mishap_of_job').on(t.jobId)],
)

/** What was predicted and what was measured. */
export const fittings = sqliteTable(
  'fitting',
  {
    id: id(),
    jobId: integer('job_id').references(() => jobs.id),
    fittedId: integer('fitted_id')
      .notNull()
      .references(() => fittedStrings.id),
    at: integer('at').notNull(),
    predictedCutMm: real('predicted_cut_mm'),
    cutMm: real('cut_mm'),
    predictedWraps: real('predicted_wraps'),
    wraps: real('wraps'),
    gaugeMm: real('measured_gauge_mm'),
  },
  (t) => [
    index('fitting_of_job').on(t.jobId),
    index('fitting_of').on(t.fittedId),
    index('fitting_when').on(t.at),
  ],
)

/** What fittings on each position came to beside what was worked out: kept up to date by triggers, see `kept-sums.ts`. */
export const fittingSums = sqliteTable('fitting_sum', {
  positionId: integer('position_id')
    .primaryKey()
    .references(() => positions.id),
  fittings: integer('fittings').notNull().default(0),
  wrapsCount: integer('wraps_count').notNull().default(0),
  wrapsOff: real('wraps_off').notNull().default(0),
  cutCount: integer('cut_count').notNull().default(0),
  cutOffMm: real('cut_off_mm').notNull().default(0),
})

/** Tails left long on the neck until the string has settled. While nothing is cut yet, the rest of the coil hangs there. */
export const parkedTails = sqliteTable(
  'parked_tail',
  {
    id: id(),
    fittedId: integer('fitted_id')
      .notNull()
      .references(() => fittedStrings.id),
    /** Null where a fitting of another kind left it. */
    jobId: integer('job_id').references(() => jobs.id),
    /** The coil whose rest hangs on the neck; null where the string was cut off its coil already. */
    coilId: integer('coil_id').references(() => coils.id),
    parkedAt: integer('parked_at').notNull(),
    trimmedAt: integer('trimmed_at'),
  },
  (t) => [uniqueIndex('parked_once').on(t.fittedId), index('parked_now').on(t.trimmedAt)],
)

/** What must be bought, with all that an order has to say. */
export const needs = sqliteTable(
  'need',
  {
    id: id(),
    jobId: integer('job_id').references(() => jobs.id),
    positionId: integer('position_id')
      .notNull()
      .references(() => positions.id),
    ...construction(),
    colour: text('colour').$type<StringColour>().notNull(),
    /** Null where it is bought by gauge, length and end alone. */
    tensionClass: text('tension_class').$type<TensionClass>(),
    end: text('end').$type<StringEnd>().notNull(),
    lengthMm: real('length_mm').notNull(),
    quantity: integer('quantity').notNull().default(1),
    /** How many of them have come. */
    met: integer('met').notNull().default(0),
    openedAt: integer('opened_at').notNull(),
    closedAt: integer('closed_at'),
  },
  (t) => [
    check('need_some', sql`${t.quantity} > 0 AND ${t.lengthMm} > 0 AND ${t.met} >= 0`),
    index('need_of_job').on(t.jobId),
    index('need_open').on(t.closedAt),
  ],
)

/** Small things the stores hold besides strings: anchors, beads, glue. */
export const supplies = sqliteTable(
  'supply',
  {
    id: id(),
    kind: text('kind').$type<SupplyKind>().notNull(),
    name: text('name').notNull(),
    place: text('place').notNull(),
    count: integer('count').notNull(),
    /** Below this there are too few. */
    least: integer('least').notNull(),
    /** To be got: on the need list. */
    wanted: integer('wanted').notNull().default(0),
  },
  (t) => [check('supply_never_below_zero', sql`${t.count} >= 0 AND ${t.least} >= 0 AND ${t.wanted} >= 0`)],
)

/** Broken strings whose gut was booked in as anchors, so that none is booked in twice. */
export const anchorsMade = sqliteTable(
  'anchors_made',
  {
    id: id(),
    fittedId: integer('fitted_id')
      .notNull()
      .references(() => fittedStrings.id),
    supplyId: integer('supply_id')
      .notNull()
      .references(() => supplies.id),
    at: integer('at').notNull(),
    count: integer('count').notNull(),
  },
  (t) => [uniqueIndex('anchors_made_once').on(t.fittedId), check('anchors_made_some', sql`${t.count} > 0`)],
)

/** Who sells strings, and on which terms. Money is in the minor unit of its currency. */
export const suppliers = sqliteTable(
  'supplier',
  {
    id: id(),
    slug: text('slug').notNull().unique(),
    name: text('name').notNull(),
    currency: text('currency').notNull(),
    /** Minor units of the house's currency for one of the supplier's. */
    rate: real('rate').notNull(),
    postageMinor: integer('postage_minor').notNull(),
    freeOverMinor: integer('free_over_minor'),
    leadDays: integer('lead_days').notNull(),
    /** Since when nothing is bought there any more. */
    retiredAt: integer('retired_at'),
  },
  (t) => [check('supplier_terms', sql`${t.rate} > 0 AND ${t.postageMinor} >= 0 AND ${t.leadDays} >= 0`)],
)

/** A line of a supplier's catalogue: a packet of one string, or a set of other parts. */
export const catalogueItems = sqliteTable(
  'catalogue_item',
  {
    id: id(),
    supplierId: integer('supplier_id')
      .notNull()
      .references(() => suppliers.id),
    ...packet(),
    stock: integer('stock').notNull(),
  },
  (t) => [
    uniqueIndex('part_once').on(t.supplierId, t.part),
    check(
      'item_sane',
      sql`${t.gaugeMm} > 0 AND ${t.lengthMm} > 0 AND ${t.pieces} > 0 AND ${t.priceMinor} >= 0 AND ${t.stock} >= 0`,
    ),
  ],
)

export type OrderState = 'to send' | 'sent' | 'acknowledged' | 'delivered' | 'closed'

export const orders = sqliteTable(
  'purchase_order',
  {
    id: id(),
    supplierId: integer('supplier_id')
      .notNull()
      .references(() => suppliers.id),
    state: text('state').$type<OrderState>().notNull(),
    openedAt: integer('opened_at').notNull(),
    sentAt: integer('sent_at'),
    /** The number that the supplier's desk gave it. */
    ticket: text('ticket'),
    postageMinor: integer('postage_minor').notNull(),
  },
  (t) => [index('order_state').on(t.state)],
)

/** What an order asks for, as it stood in the catalogue that day. */
export const orderLines = sqliteTable(
  'order_line',
  {
    id: id(),
    orderId: integer('order_id')
      .notNull()
      .references(() => orders.id),
    ...packet(),
    packs: integer('packs').notNull(),
    /** Which strings it is for, as an order must say them. */
    forStrings: text('for_strings').notNull(),
    /** What a set held on that day, whole: JSON; null for a packet. */
    holds: text('holds'),
    answer: text('answer').$type<'confirmed' | 'back-ordered' | 'substituted' | 'refused'>(),
    /** The line that the supplier offers in its place. */
    replacesId: integer('replaces_id').references((): AnySQLiteColumn => orderLines.id),
    /** Packs that have come. */
    received: integer('received').notNull().default(0),
  },
  (t) => [
    check(
      'never_more_than_ordered',
      sql`${t.packs} > 0 AND ${t.received} >= 0 AND ${t.received} <= ${t.packs}`,
    ),
    index('line_of').on(t.orderId),
  ],
)

/** Which needs an order line is to fill. */
export const orderedNeeds = sqliteTable(
  'ordered_need',
  {
    id: id(),
    needId: integer('need_id')
      .notNull()
      .references(() => needs.id),
    orderLineId: integer('order_line_id')
      .notNull()
      .references(() => orderLines.id),
    /** How many of its strings come out of this line. */
    strings: integer('strings').notNull().default(1),
  },
  (t) => [
    uniqueIndex('ordered_need_once').on(t.needId, t.orderLineId),
    index('ordered_by').on(t.orderLineId),
    check('ordered_some', sql`${t.strings} > 0`),
  ],
)

/** The stand-in of the suppliers' desks: what came in, and when. No part of the house's records. */
export const deskTickets = sqliteTable('desk_ticket', {
  id: plainId(),
  supplierSlug: text('supplier_slug').notNull(),
  csv: text('csv').notNull(),
  seed: integer('seed').notNull(),
  delayMs: integer('delay_ms').notNull(),
  /** By the machine's clock: the stand-in keeps no other. */
  cameAt: integer('came_at').notNull(),
})

/** How far a string stood from pitch, and whether it was brought back. */
export const readings = sqliteTable(
  'cents_reading',
  {
    id: id(),
    fittedId: integer('fitted_id')
      .notNull()
      .references(() => fittedStrings.id),
    positionId: integer('position_id')
      .notNull()
      .references(() => positions.id),
    at: integer('at').notNull(),
    cents: real('cents').notNull(),
    broughtBack: integer('brought_back', { mode: 'boolean' }).notNull(),
    /** What it was taken for when it was logged, so that what was told and what is kept are one. Null on readings from before it was kept. */
    kind: text('kind').$type<ReadingKind>(),
  },
  (t) => [index('reading_of').on(t.fittedId), index('reading_at').on(t.positionId)],
)

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

/** What a person did, in one transaction. Appended to, never changed. */
export const actions = sqliteTable(
  'action',
  {
    id: plainId(),
    at: integer('at').notNull(),
    kind: text('kind').notNull(),
    summary: text('summary').notNull(),
    /** Who did it, by name; null where nobody said. */
    by: text('by'),
    instrumentId: integer('instrument_id'),
    undoes: integer('undoes'),
  },
  (t) => [
    uniqueIndex('undone_once').on(t.undoes),
    index('action_on').on(t.instrumentId),
    index('action_kind').on(t.kind),
    index('action_when').on(t.at),
  ],
)

/** What an action answered, by the key that its sender gave it: sent again, it is the same action. */
export const answeredRequests = sqliteTable('answered_request', {
  id: plainId(),
  key: text('key').notNull().unique(),
  /** What was asked, in a few characters: another request with the same key is refused. */
  asked: text('asked').notNull(),
  answer: text('answer').notNull(),
  at: integer('at').notNull(),
})

/** Every row an action wrote, before and after. Appended to, never changed. */
export const changes = sqliteTable(
  'change',
  {
    id: plainId(),
    actionId: integer('action_id')
      .notNull()
      .references(() => actions.id),
    tableName: text('table_name').notNull(),
    rowId: integer('row_id').notNull(),
    before: text('before'),
    after: text('after'),
  },
  (t) => [index('change_of').on(t.actionId)],
)

/** Tables whose rows the journal follows. */
export const journaled = {
  house,
  coils,
  cuts,
  fittedStrings,
  fittedPositions,
  breaks,
  jobs,
  jobSteps,
  jobMeasures,
  jobMishaps,
  fittings,
  needs,
  readings,
  instruments,
  positions,
  coverings,
  occasions,
  supplies,
  anchorsMade,
  suppliers,
  catalogueItems,
  orders,
  orderLines,
  orderedNeeds,
  parkedTails,
} as const
