/**
 * Instruments in the tables, to and from the core's.
 */
import { asc } from 'drizzle-orm'
import { fasteningNamed } from '@/core/knots/fastenings'
import type { HardwareColumn } from '@/core/hardware/columns'
import { requireValue } from '@/core/list/require-value'
import type { Measured } from '@/core/measuring/quantity'
import { habitsFor, type HabitChange, type Habits } from '@/core/fitting/habits'
import type { Instrument, StringPosition } from '@/core/instrument/instrument'
import { calledAs, type Calling } from '@/core/instrument/called'
import { found, Refusal } from '@/boundary/refusal'
import type { Written } from '@/core/strings/written-lengths'
import { scientificWord } from '@/core/pitch/note'
import { parseNote } from '@/core/pitch/parse-note'
import { constructionColumns, constructionFrom } from '../store/construction-columns'
import type { Store } from '../store/database'
import { habitChange, workshopSettings } from '../workshop/settings'
import { grouped } from '@/core/list/grouped'
import { inMm, metres } from '../store/millimetres'
import { measuredJson, readMeasured } from './measured-json'
import { coverings, house, instruments, positions } from '../store/schema'

type PositionRow = typeof positions.$inferSelect

/** An instrument with the row ids that its positions have in the tables. */
export interface StoredInstrument {
  readonly id: number
  readonly instrument: Instrument
  /** By position number. */
  readonly positionIds: ReadonlyMap<number, number>
  /** The house's habits, changed by its own. */
  readonly habits: Habits
  readonly ownHabits: HabitChange
  /** What its owner or a technician should know. */
  readonly notes: string
  /** Where the maker's string chart is to be found; empty where nobody said. */
  readonly chartLink: string
  /** Whether the workshop stocks strings for it. */
  readonly stocked: boolean
  /** What was measured of an instrument that came from a preset; null where its chart came whole. */
  readonly chartMeasured: readonly Measured[] | null
  /** What of its hardware was measured or looked at, by position number. */
  readonly hardwareMeasured: HardwareMeasured
  /** Since when it is no longer on the shelf, ms; null while it is. */
  readonly retiredAt: number | null
}

/** Columns of the hardware that are no longer assumed, by position number. */
export type HardwareMeasured = ReadonlyMap<number, readonly HardwareColumn[]>

/** Columns that were measured, as they are kept. */
export function readHardwareMeasured(json: string): readonly HardwareColumn[] {
  return JSON.parse(json) as HardwareColumn[]
}

/** What is known of an instrument. */
export interface Known {
  /** Null where its chart came whole. */
  readonly measured: readonly Measured[] | null
  readonly hardware: HardwareMeasured
}

/** One position with its instrument. */
export interface PositionOnShelf extends StoredInstrument {
  readonly position: StringPosition
}

/** Everything on the shelf, with ways to each. */
interface Shelf {
  readonly standing: readonly StoredInstrument[]
  readonly retired: readonly StoredInstrument[]
  readonly bySlug: ReadonlyMap<string, StoredInstrument>
  readonly byPosition: ReadonlyMap<number, PositionOnShelf>
}

/** The shelf as it stands; read again only when a chart or a habit was written. Its size does not grow with the years. */
function shelf(store: Store): Shelf {
  return store.cache.get('shelf', [instruments, positions, coverings, house], () => {
    const common = workshopSettings(store).habits
    const all = readInstruments(store).map((one) => ({
      ...one,
      habits: habitsFor(common, one.ownHabits, {}),
    }))
    return {
      standing: all.filter(({ retiredAt }) => retiredAt === null),
      retired: all.filter(({ retiredAt }) => retiredAt !== null),
      bySlug: new Map(all.map((one) => [one.instrument.slug, one])),
      byPosition: new Map(
        all.flatMap((one) =>
          one.instrument.positions.map((position) => [
            requireValue(one.positionIds.get(position.number)),
            { ...one, position },
          ]),
        ),
      ),
    }
  })
}

/** The instruments on the shelf, in the order they were added. */
export function allInstruments(store: Store): readonly StoredInstrument[] {
  return shelf(store).standing
}

/** Instruments that are no longer on the shelf; what happened to them stays on record. */
export function retiredInstruments(store: Store): readonly StoredInstrument[] {
  return shelf(store).retired
}

/**
 * @param slug - as in the address of its page
 * @throws Refusal 404 when there is no such instrument
 */
export function instrumentBySlug(store: Store, slug: string): StoredInstrument {
  return found(shelf(store).bySlug.get(slug), `There is no instrument called “${slug}” on the shelf.`)
}

/** The instrument that a position belongs to, and that position. */
export function byPositionId(store: Store, positionId: number): PositionOnShelf {
  return found(shelf(store).byPosition.get(positionId), `There is no string position ${positionId}.`)
}

/**
 * The row id of a position.
 *
 * @throws Refusal 404 with a sentence when the instrument has no such string
 */
export function positionId({ instrument, positionIds }: StoredInstrument, number: number): number {
  const id = positionIds.get(number)
  if (id === undefined) {
    throw new Refusal(
      404,
      `${instrument.name} has strings 1 to ${instrument.positions.length}; there is no string ${number}.`,
      'string',
    )
  }
  return id
}

/**
 * Adds an instrument with all its positions; belongs inside an action. Returns its row id.
 *
 * @param known - what was measured of it; null where nothing was
 * @param stocked - whether the workshop stocks strings for it
 */
export function addInstrument(
  store: Store,
  instrument: Instrument,
  known: Known | null = null,
  stocked = false,
): number {
  const { positions: strings, coverings: layers, ...about } = instrument
  const { id } = store.rows
    .insert(instruments)
    .values({ ...about, stocked, measured: known?.measured ? measuredJson(known.measured) : null })
    .returning({ id: instruments.id })
    .get()
  const ids = new Map(
    strings.map((p) => [
      p.number,
      store.rows
        .insert(positions)
        .values({
          ...positionRow(id, p),
          hardwareMeasured: JSON.stringify(known?.hardware.get(p.number) ?? []),
        })
        .returning({ id: positions.id })
        .get().id,
    ]),
  )
  for (const { over, under } of layers) {
    store.rows
      .insert(coverings)
      .values({ overId: requireValue(ids.get(over)), underId: requireValue(ids.get(under)) })
      .run()
  }
  return id
}

type WithoutHabits = Omit<StoredInstrument, 'habits'>

/** Reads instruments as they are kept, from charts that did not change since they were read as they were. */
function readInstruments(store: Store): readonly WithoutHabits[] {
  return store.cache.get('instruments', [instruments, positions, coverings], () => {
    const strings = grouped(
      store.rows.select().from(positions).orderBy(asc(positions.number)).all(),
      (p) => p.instrumentId,
    )
    const owner = new Map([...strings.values()].flat().map((p) => [p.id, p]))
    const layers = grouped(
      store.rows.select().from(coverings).all(),
      (l) => owner.get(l.overId)?.instrumentId,
    )
    return store.rows
      .select()
      .from(instruments)
      .orderBy(asc(instruments.id))
      .all()
      .map((row) => {
        const { id, habits, notes, chartLink, measured, stocked, retiredAt, ...about } = row
        const rows = strings.get(id) ?? []
        const number = (position: number) => requireValue(owner.get(position)?.number)
        return {
          id,
          instrument: {
            ...about,
            positions: rows.map((p) => positionFrom(p, row, rows.length)),
            coverings: (layers.get(id) ?? [])
              .map((l) => ({ over: number(l.overId), under: number(l.underId) }))
              .sort((a, b) => a.over - b.over || a.under - b.under),
          },
          positionIds: new Map(rows.map((p) => [p.number, p.id])),
          ownHabits: habitChange(habits),
          notes,
          chartLink,
          stocked,
          chartMeasured: measured === null ? null : readMeasured(measured),
          hardwareMeasured: new Map(rows.map((p) => [p.number, readHardwareMeasured(p.hardwareMeasured)])),
          retiredAt,
        }
      })
  })
}

/** A position's columns. */
export function positionRow(instrumentId: number, p: StringPosition): typeof positions.$inferInsert {
  const { pin } = p.head
  return {
    instrumentId,
    number: p.number,
    makerLabel: p.makerLabel,
    role: p.called.role,
    askedMake: p.askedMake,
    note: scientificWord(p.note),
    colour: p.colour,
    ...constructionColumns(p.construction),
    speakingMm: inMm(p.speakingLength),
    freeMm: inMm(p.freeLength),
    written: JSON.stringify(p.written ?? {}),
    mechanism: p.mechanism,
    piece: p.piece,
    headFastening: p.head.fastening,
    tailFastening: p.tail.fastening,
    bearing: p.tail.bearing,
    boardMm: inMm(p.tail.boardThickness),
    eyeletBoreMm: nullable(p.tail.eyeletBore, inMm),
    postMm: nullable(p.tail.postDiameter, inMm),
    pinSetting: pin.setting,
    turnedBy: pin.turnedBy,
    pinMm: inMm(pin.diameter),
    gearRatio: pin.gearRatio,
    tightens: pin.tightens,
    threadMm: nullable(pin.threadPitch, inMm),
    pinHeightMm: inMm(pin.height),
    heightDatum: pin.heightDatum,
    holeToEndMm: inMm(pin.holeToEnd),
    bridgeHeightMm: inMm(pin.bridgeHeight),
    toBridgeMm: inMm(pin.toBridge),
    tailX: inMm(p.at.tail.x),
    tailY: inMm(p.at.tail.y),
    bridgeX: inMm(p.at.bridge.x),
    bridgeY: inMm(p.at.bridge.y),
    pinX: inMm(p.at.pin.x),
    pinY: inMm(p.at.pin.y),
  }
}

/** Nothing where nobody wrote a length in a way of their own, as in most rows. */
const writtenFrom = (json: string): { readonly written?: Written } =>
  json === '{}' ? {} : { written: JSON.parse(json) as Written }

function positionFrom(row: PositionRow, calling: Calling, strings: number): StringPosition {
  return {
    number: row.number,
    called: calledAs(calling, row.number, strings, row.role),
    makerLabel: row.makerLabel,
    askedMake: row.askedMake,
    note: parseNote(row.note),
    colour: row.colour,
    construction: constructionFrom(row),
    speakingLength: metres(row.speakingMm),
    freeLength: metres(row.freeMm),
    ...writtenFrom(row.written),
    mechanism: row.mechanism,
    piece: row.piece,
    head: {
      fastening: row.headFastening,
      pin: {
        setting: row.pinSetting,
        turnedBy: row.turnedBy,
        diameter: metres(row.pinMm),
        gearRatio: row.gearRatio,
        tightens: row.tightens,
        threadPitch: nullable(row.threadMm, metres),
        height: metres(row.pinHeightMm),
        heightDatum: row.heightDatum,
        holeToEnd: metres(row.holeToEndMm),
        bridgeHeight: metres(row.bridgeHeightMm),
        toBridge: metres(row.toBridgeMm),
      },
    },
    tail: {
      fastening: fasteningNamed(row.tailFastening),
      bearing: row.bearing,
      boardThickness: metres(row.boardMm),
      eyeletBore: nullable(row.eyeletBoreMm, metres),
      postDiameter: nullable(row.postMm, metres),
    },
    at: {
      tail: { x: metres(row.tailX), y: metres(row.tailY) },
      bridge: { x: metres(row.bridgeX), y: metres(row.bridgeY) },
      pin: { x: metres(row.pinX), y: metres(row.pinY) },
    },
  }
}

function nullable(value: number | null, convert: (value: number) => number): number | null {
  return value === null ? null : convert(value)
}
