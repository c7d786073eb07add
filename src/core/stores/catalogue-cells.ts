/**
 * A line of a supplier's catalogue as cells of text, read into an item.
 */
import { readMake } from '@/core/chart/material-text'
import { TENSION_CLASSES, type StringColour } from '@/core/instrument/instrument'
import { itemAt } from '../list/item-at'
import { readSoldAs, type SoldAs } from './sold-as'
import { parseMoney } from './money'
import { STRING_ENDS, type StringEnd } from '../knots/string-ends'
import { SOLD_CLASSES, type SoldSpec } from './string-spec'
import type { Bounded } from '@/core/strings/bounds'
import type { Construction } from '@/core/strings/construction'
import { readLengthCell } from '@/core/strings/length-cells'
import type { FileUnit } from '../units/file-unit'

export const CATALOGUE_COLUMNS = [
  'part',
  'name',
  'material',
  'gauge',
  'core',
  'bedding',
  'wrap',
  'colour',
  'class',
  'end',
  'maker',
  'line',
  'sold',
  'length',
  'pieces',
  'price',
  'stock',
  'contents',
] as const
export type CatalogueColumn = (typeof CATALOGUE_COLUMNS)[number]
export const CATALOGUE_LENGTHS = [
  'gauge',
  'core',
  'bedding',
  'wrap',
  'length',
] as const satisfies readonly CatalogueColumn[]
export type CatalogueLength = (typeof CATALOGUE_LENGTHS)[number]
export type CatalogueCells = Readonly<Record<CatalogueColumn, string>>

/** A packet, or a set of packets, as a catalogue sells it. */
export interface SoldPacket extends SoldSpec {
  readonly part: string
  readonly name: string
  readonly maker: string
  readonly line: string
  readonly soldAs: SoldAs
  /** Of each piece, m. */
  readonly length: number
  readonly pieces: number
  readonly priceMinor: number
  /** Parts in a set; null for a packet. */
  readonly setOf: readonly { readonly part: string; readonly count: number }[] | null
}

export interface CatalogueItem extends SoldPacket {
  /** Packs that can be had; null where the price list does not say. */
  readonly stock: number | null
}

const COLOURS: Readonly<Record<string, StringColour>> = {
  '': 'natural',
  natural: 'natural',
  clear: 'natural',
  plain: 'natural',
  red: 'red',
  black: 'black',
  blue: 'blue',
}
/** A price that is no figure gets a sentence of its own: many catalogues have one. */
const ASK = /call|ask|request|tba|poa/i

/**
 * @param cells - as they stand in the file
 * @param units - of bare numbers
 * @returns the item, and what can't be read, by column
 */
export function readCatalogueCells(
  cells: CatalogueCells,
  units: Readonly<Record<CatalogueLength, FileUnit>>,
): {
  readonly item: CatalogueItem | null
  readonly problems: Readonly<Partial<Record<CatalogueColumn, string>>>
} {
  const problems: Partial<Record<CatalogueColumn, string>> = {}
  const read = <T>(column: CatalogueColumn, how: () => T): T | null => {
    try {
      return how()
    } catch (error) {
      problems[column] = (error as RangeError).message
      return null
    }
  }
  const length = (column: CatalogueLength) =>
    read(column, () => readLengthCell(cells[column], BOUNDED[column], units[column]))
  const part = read('part', () => filled(cells.part, 'A part number is missing.'))
  const make = read('material', () => readMake(cells.material))
  const construction =
    make &&
    read('gauge', (): Construction | null => {
      if (make.kind === 'plain')
        return {
          kind: 'plain',
          material: make.material,
          gauge: readLengthCell(filled(cells.gauge, 'A gauge is missing.'), 'gauge', units.gauge),
        }
      const [core, wrap] = [length('core'), length('wrap')]
      if (core === null || wrap === null) return null
      const bedding =
        make.bedding === null
          ? null
          : {
              material: make.bedding,
              thickness: readLengthCell(
                filled(cells.bedding, 'The thickness of the bedding is missing.'),
                'bedding',
                units.bedding,
              ),
            }
      return {
        kind: 'wound',
        core: { material: make.core, diameter: core },
        bedding,
        wrap: { material: make.wrap, diameter: wrap },
      }
    })
  const colour = read('colour', () =>
    oneOf(
      Object.hasOwn(COLOURS, cells.colour.trim().toLowerCase())
        ? COLOURS[cells.colour.trim().toLowerCase()]
        : undefined,
      'red, black, blue or natural',
      cells.colour,
    ),
  )
  const tensionClass = read('class', () =>
    oneOf(
      SOLD_CLASSES.find((one) => one === (cells.class.trim().toLowerCase() || 'not given')),
      `a tension class (${TENSION_CLASSES.join(', ')}) or nothing`,
      cells.class,
    ),
  )
  const end = read(
    'end',
    () =>
      oneOf(
        STRING_ENDS.find((one) => one === (cells.end.trim().toLowerCase() || 'plain')),
        'an end: plain, loop or ball',
        cells.end,
      ) as StringEnd,
  )
  const metres = length('length')
  const pieces = read('pieces', () =>
    count(cells.pieces.trim() === '' ? '1' : cells.pieces, 1, 'pieces in a pack'),
  )
  const stock =
    cells.stock.trim() === '' ? null : read('stock', () => count(cells.stock, 0, 'packs in stock'))
  const priceMinor = read('price', () => {
    if (ASK.test(cells.price))
      throw new RangeError(
        `The price is “${cells.price.trim()}”: ask for it and write it in; until then it can’t be planned with.`,
      )
    return parseMoney(cells.price)
  })
  const soldAs =
    metres !== null && pieces !== null && end !== null
      ? read('sold', () => readSoldAs(cells.sold, { length: metres, pieces, end }))
      : null
  const setOf = read('contents', () => readContents(cells.contents))
  if (
    Object.keys(problems).length > 0 ||
    !part ||
    !construction ||
    !colour ||
    !tensionClass ||
    !end ||
    !soldAs ||
    metres === null ||
    pieces === null ||
    problems.stock !== undefined ||
    priceMinor === null
  )
    return { item: null, problems }
  return {
    item: {
      part,
      name: cells.name.trim(),
      construction,
      colour,
      tensionClass,
      end,
      maker: cells.maker.trim(),
      line: cells.line.trim(),
      soldAs,
      length: metres,
      pieces,
      stock,
      priceMinor,
      setOf: setOf ?? null,
    },
    problems,
  }
}

/** `A12 x2; A14` */
function readContents(text: string): CatalogueItem['setOf'] {
  if (text.trim() === '') return null
  return text
    .split(/[;,]/)
    .map((piece) => piece.trim())
    .filter((piece) => piece !== '')
    .map((piece) => {
      const found = /^(\S+)(?:\s*[x×]\s*(\d{1,3}))?$/i.exec(piece)
      if (!found) throw new RangeError(`Expected parts of a set such as “A12 x2; A14”, got “${piece}”.`)
      return { part: itemAt(found, 1), count: Number(found[2] ?? 1) }
    })
}

/** What each length is, for its bounds. */
const BOUNDED: Record<CatalogueLength, Bounded> = {
  gauge: 'gauge',
  core: 'core',
  bedding: 'bedding',
  wrap: 'wrap',
  length: 'coil',
}

function filled(text: string, sentence: string): string {
  if (text.trim() === '') throw new RangeError(sentence)
  return text.trim()
}

function oneOf<T>(value: T | undefined, expected: string, got: string): T {
  if (value === undefined) throw new RangeError(`Expected ${expected}, got “${got.trim()}”.`)
  return value
}

function count(text: string, least: number, what: string): number {
  const value = Number(text.trim())
  if (!Number.isInteger(value) || value < least || value > 100_000)
    throw new RangeError(`Expected a whole number of ${what}, got “${text.trim()}”.`)
  return value
}
