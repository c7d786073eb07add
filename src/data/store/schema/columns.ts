/** Columns that several tables have. */
import { integer, real, text } from 'drizzle-orm/sqlite-core'
import type { StringColour, TensionClass } from '@/core/instrument/instrument'
import type { StringEnd } from '@/core/stores/string-spec'
import type { Material } from '@/core/strings/materials'

/** Never given twice: what is gone, or was undone, keeps its number for itself. */
export const id = () => integer('id').primaryKey({ autoIncrement: true })

/** Of a table that has one row, or that nothing is ever taken from. */
export const plainId = () => integer('id').primaryKey()

/** What a string is made of; a plain string leaves core, bedding and wrap empty. */
export const construction = () => ({
  material: text('material').$type<Material>().notNull(),
  gaugeMm: real('gauge_mm').notNull(),
  coreMm: real('core_mm'),
  beddingMaterial: text('bedding_material').$type<Material>(),
  beddingMm: real('bedding_mm'),
  wrapMaterial: text('wrap_material').$type<Material>(),
  wrapMm: real('wrap_mm'),
})

/** What a catalogue says of a packet; what a set holds is JSON `[{ "part": "…", "count": 1 }]`, null for a packet. */
export const packet = () => ({
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
