/** Columns that several tables have. */
import { STRING_COLOURS } from '@/core/instrument/instrument'
import { STRING_ENDS } from '@/core/knots/string-ends'
import { SOLD_AS } from '@/core/stores/sold-as'
import { SOLD_CLASSES } from '@/core/stores/string-spec'
import { MATERIALS } from '@/core/strings/materials'
import { integer, real, text } from 'drizzle-orm/sqlite-core'

/** Never given twice: what is gone, or was undone, keeps its number for itself. */
export const id = () => integer('id').primaryKey({ autoIncrement: true })

/** Of a table that has one row, or that nothing is ever taken from. */
export const plainId = () => integer('id').primaryKey()

/** What a string is made of; a plain string leaves core, bedding and wrap empty. */
export const construction = () => ({
  material: text('material', { enum: MATERIALS }).notNull(),
  gaugeMm: real('gauge_mm').notNull(),
  coreMm: real('core_mm'),
  beddingMaterial: text('bedding_material', { enum: MATERIALS }),
  beddingMm: real('bedding_mm'),
  wrapMaterial: text('wrap_material', { enum: MATERIALS }),
  wrapMm: real('wrap_mm'),
})

/** What a catalogue says of a packet; what a set holds is JSON `[{ "part": "…", "count": 1 }]`, null for a packet. */
export const packet = () => ({
  part: text('part').notNull(),
  name: text('name').notNull(),
  ...construction(),
  colour: text('colour', { enum: STRING_COLOURS }).notNull(),
  tensionClass: text('tension_class', { enum: SOLD_CLASSES }).notNull(),
  end: text('end', { enum: STRING_ENDS }).notNull(),
  maker: text('maker').notNull(),
  line: text('line').notNull(),
  soldAs: text('sold_as', { enum: SOLD_AS }).notNull().default('one string'),
  lengthMm: real('length_mm').notNull(),
  pieces: integer('pieces').notNull(),
  priceMinor: integer('price_minor').notNull(),
  setOf: text('set_of'),
})
