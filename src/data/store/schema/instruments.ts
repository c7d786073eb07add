/** Instruments, their positions, and what lies over what. */
import { CALLED_BY, COUNTED_FROM } from '@/core/instrument/called'
import { FAMILIES } from '@/core/instrument/family'
import { BEARINGS, LEVERS_OFF, STRING_COLOURS, STRUNG, TENSION_CLASSES } from '@/core/instrument/instrument'
import { HEAD_FASTENINGS, TAIL_FASTENINGS } from '@/core/knots/fastenings'
import { PIN_SETTINGS, TURNED_BY } from '@/core/winding/pin'
import { sql } from 'drizzle-orm'
import { check, integer, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core'
import { construction, id } from './columns'

export const instruments = sqliteTable('instrument', {
  id: id(),
  slug: text('slug').notNull().unique(),
  name: text('name').notNull(),
  family: text('family', { enum: FAMILIES }).notNull(),
  maker: text('maker').notNull(),
  model: text('model').notNull(),
  owner: text('owner').notNull(),
  tensionClass: text('tension_class', { enum: TENSION_CLASSES }).notNull(),
  restTuning: text('rest_tuning').notNull(),
  referenceA: real('reference_a_hz').notNull(),
  lies: text('lies').notNull(),
  calledBy: text('called_by', { enum: CALLED_BY }).notNull().default('harp octave'),
  countedFrom: text('counted_from', { enum: COUNTED_FROM }).notNull().default('top'),
  strung: text('strung', { enum: STRUNG }).notNull().default('as usual'),
  leversOff: text('levers_off', { enum: LEVERS_OFF }).notNull().default('not said'),
  /** Habits of its own, where they differ from the house's: JSON. */
  habits: text('habits').notNull().default('{}'),
  /** Keys of what was measured of it: JSON. Null where its chart came whole, and nothing of it is assumed. */
  measured: text('measured'),
  /** What its owner or a technician should know. */
  notes: text('notes').notNull().default(''),
  /** Where the maker's string chart is to be found. */
  chartLink: text('chart_link').notNull().default(''),
  /** Whether the workshop stocks strings for it, and is told when they run low. */
  stocked: integer('stocked', { mode: 'boolean' }).notNull().default(false),
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
    colour: text('colour', { enum: STRING_COLOURS }).notNull(),
    ...construction(),
    speakingMm: real('speaking_mm').notNull(),
    freeMm: real('free_mm').notNull(),
    /** Its lengths as somebody wrote them, by column of the chart or of the fittings: JSON. */
    written: text('written').notNull().default('{}'),
    mechanism: text('mechanism', { enum: ['lever', 'disc'] }),
    piece: integer('piece').notNull(),
    headFastening: text('head_fastening', { enum: HEAD_FASTENINGS }).notNull(),
    tailFastening: text('tail_fastening', { enum: TAIL_FASTENINGS }).notNull(),
    bearing: text('bearing', { enum: BEARINGS }),
    boardMm: real('board_mm').notNull(),
    eyeletBoreMm: real('eyelet_bore_mm'),
    postMm: real('post_mm'),
    pinSetting: text('pin_setting', { enum: PIN_SETTINGS }).notNull().default('through the neck'),
    turnedBy: text('turned_by', { enum: TURNED_BY }).notNull().default('key'),
    pinMm: real('pin_mm').notNull(),
    gearRatio: real('gear_ratio').notNull(),
    tightens: text('tightens', { enum: ['clockwise', 'anticlockwise'] }).notNull(),
    threadMm: real('thread_mm'),
    pinHeightMm: real('pin_height_mm').notNull(),
    heightDatum: text('height_datum', { enum: ['top of pin', 'string hole'] }).notNull(),
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
