/** What an owner is told of a restring: what was changed, the load before and after, what to expect, when to come back. */
import { desc, eq, inArray } from 'drizzle-orm'
import Papa from 'papaparse'
import { found } from '@/boundary/refusal'
import { TO_CHANGE } from '@/core/fitting/covered'
import {
  restPitch,
  samePiece,
  soldByClass,
  type Instrument,
  type StringPosition,
} from '@/core/instrument/instrument'
import { leadingNames } from '@/core/instrument/names'
import { grouped } from '@/core/list/grouped'
import { itemAt } from '@/core/list/item-at'
import { requireValue } from '@/core/list/require-value'
import { materialWord, outerGauge, type Construction } from '@/core/strings/construction'
import { tension } from '@/core/strings/tension'
import { gaugeText } from '@/core/units/length'
import { fittingFigures } from '@/core/fitting/figures'
import type { Charge, Charges } from '@/core/stores/charges'
import { specAt } from '@/core/stores/string-spec'
import { DAY } from '@/core/units/time'
import { guarded } from '../csv/formula-guard'
import { holdsFrom, settlingStrings, type Settling } from '../fitted/settling'
import { gaugeUnitOf, workshopSettings, type Workshop } from '../workshop/settings'
import type { StoredInstrument } from '../instruments/instruments'
import { lastRestring } from '../jobs/restrings'
import { chargesFor } from './charges'
import { constructionFrom } from '../store/construction-columns'
import type { Store } from '../store/database'
import { coils, fittedPositions, fittedStrings } from '../store/schema'

/** A string as it was, or as it is. */
export interface Reported {
  /** `gut, 1.10 mm` */
  readonly what: string
  /** Empty where nobody noted it. */
  readonly make: string
}

export interface ChangedString {
  readonly number: number
  readonly name: string
  /** Null where none was on record. */
  readonly before: Reported | null
  readonly after: Reported
}

export interface RestringReport {
  readonly instrument: Pick<Instrument, 'slug' | 'name' | 'maker' | 'model' | 'owner'>
  readonly begunAt: number
  readonly endedAt: number | null
  readonly changed: readonly ChangedString[]
  readonly notChanged: readonly string[]
  /** Of all strings at pitch, N; before by what is on record, else by the chart. */
  readonly loadBefore: number
  readonly loadAfter: number
  /** Retunes in each of the next weeks, all new strings together. */
  readonly retunes: readonly number[]
  /** From when every new string holds; null where none settles or some slips or never holds so well. */
  readonly holdsFrom: number | null
  /** Strings that slip. */
  readonly slipping: readonly string[]
  /** When the first is to be tuned again, ms. */
  readonly comeBack: number | null
  readonly holdsWithin: number
  readonly charges: Charges
  /** The workshop’s, a line each. */
  readonly address: string
}

const WEEK = 7 * DAY
const WEEKS = 4

/** @throws Refusal 404 where the instrument was never restrung */
export function restringReport(store: Store, stored: StoredInstrument): RestringReport {
  const { instrument, habits, positionIds } = stored
  const restring = found(lastRestring(store, stored) ?? undefined, `${instrument.name} was not restrung yet.`)
  const settings = workshopSettings(store)
  const unit = gaugeUnitOf(settings)
  const history = historyOf(store, [...positionIds.values()])
  const told = ({ construction, make }: OnPosition): Reported => ({
    what: `${materialWord(construction)}, ${gaugeText(outerGauge(construction), unit)}`,
    make,
  })
  const done = new Set(restring.pieces.filter(({ isDone }) => isDone).map(({ id }) => id))
  const served = instrument.positions.filter((position) =>
    done.has(samePiece(instrument, position)[0]?.number ?? 0),
  )
  const changed: ChangedString[] = []
  let [loadBefore, loadAfter] = [0, 0]
  for (const position of instrument.positions) {
    const [now, before] = lastTwo(history, requireValue(positionIds.get(position.number)), restring.begunAt)
    const isChanged = served.includes(position)
    const chartPull = pull(instrument, position, position.construction)
    loadAfter += now ? pull(instrument, position, now.construction) : chartPull
    const old = isChanged ? before : now
    loadBefore += old ? pull(instrument, position, old.construction) : chartPull
    if (isChanged && now)
      changed.push({
        number: position.number,
        name: leadingNames(position, habits.octaveNames).name,
        before: before ? told(before) : null,
        after: told(now),
      })
  }
  const now = store.now()
  const numbers = new Set(changed.map(({ number }) => number))
  const settling = settlingStrings(store).filter(
    ({ slug, position }) => slug === instrument.slug && numbers.has(position.number),
  )
  return {
    instrument,
    begunAt: restring.begunAt,
    endedAt: restring.endedAt,
    changed,
    notChanged: restring.pieces.filter(({ isDone }) => !isDone).map(({ id }) => nameAt(stored, id)),
    loadBefore,
    loadAfter,
    retunes: Array.from({ length: WEEKS }, (_, week) =>
      settling.reduce(
        (sum, { planAt }) =>
          sum + planAt.filter((at) => at >= now + week * WEEK && at < now + (week + 1) * WEEK).length,
        0,
      ),
    ),
    ...heldFrom(settling, settings, now),
    comeBack: settling.reduce<number | null>(
      (first, { nextAt }) => (nextAt !== null && (first === null || nextAt < first) ? nextAt : first),
      null,
    ),
    holdsWithin: settings.holdsWithinCents,
    charges: charges(store, stored, changed),
    address: settings.address,
  }
}

const INVOICE_COLUMNS = ['What', 'Count', 'Each', 'Amount', 'Money'] as const

/** From when every new string holds, and which slip. */
function heldFrom(
  settling: readonly Settling[],
  { holdsWithinCents, concertHours }: Workshop,
  now: number,
): Pick<RestringReport, 'holdsFrom' | 'slipping'> {
  const from = settling.map((one) => holdsFrom(one, holdsWithinCents, concertHours))
  return {
    holdsFrom:
      settling.length === 0 || from.includes(null) ? null : Math.max(now, ...from.map((at) => at ?? now)),
    slipping: settling.flatMap(({ slipping, name }) => (slipping ? [name] : [])),
  }
}

/** The lines of an invoice: strings by kind at the suppliers’ price, and the work as it is estimated. */
export function invoiceCsv(store: Store, stored: StoredInstrument): string {
  const { strings, work, currency } = restringReport(store, stored).charges
  const money = (minor: number | null) => (minor === null ? '' : (minor / 100).toFixed(2))
  const row = (what: string, count: string, { each, amount }: Charge) =>
    [what, count, money(each), money(amount), currency].map(guarded)
  const rows = [
    ...strings.map((one) => row(one.what, String(one.count), one)),
    ...(work ? [row('work, h', work.count.toFixed(2), work)] : []),
  ]
  return `${Papa.unparse({ fields: [...INVOICE_COLUMNS], data: rows }, { newline: '\n' })}\n`
}

/** Each string once, however many positions it serves. */
function charges(store: Store, { instrument, habits }: StoredInstrument, changed: readonly ChangedString[]) {
  const pieces = new Map(
    changed.map(({ number, after }) => {
      const position = itemAt(instrument.positions, number - 1)
      return [position.piece, { position, what: after.what }]
    }),
  )
  return chargesFor(
    store,
    [...pieces.values()].map(({ position, what }) => ({
      what,
      spec: specAt(position, soldByClass(instrument)),
      cut: fittingFigures(instrument, position, habits).cut.total,
    })),
    pieces.size * TO_CHANGE.string,
  )
}

interface OnPosition {
  readonly fittedAt: number
  readonly construction: Construction
  readonly make: string
}

/** What was on each position, the latest first. */
function historyOf(store: Store, positionIds: readonly number[]): ReadonlyMap<number, readonly OnPosition[]> {
  const rows = store.rows
    .select({
      positionId: fittedPositions.positionId,
      string: fittedStrings,
      maker: coils.maker,
      line: coils.line,
    })
    .from(fittedPositions)
    .innerJoin(fittedStrings, eq(fittedStrings.id, fittedPositions.fittedId))
    .leftJoin(coils, eq(coils.id, fittedStrings.coilId))
    .where(inArray(fittedPositions.positionId, [...positionIds]))
    .orderBy(desc(fittedStrings.fittedAt), desc(fittedStrings.id))
    .all()
    .map(({ positionId, string, maker, line }) => ({
      positionId,
      fittedAt: string.fittedAt,
      construction: constructionFrom(string),
      make: `${maker ?? ''} ${line ?? ''}`.trim(),
    }))
  return grouped(rows, ({ positionId }) => positionId)
}

/** What is on a position, and what was before the restring. */
function lastTwo(
  history: ReadonlyMap<number, readonly OnPosition[]>,
  positionId: number,
  begunAt: number,
): readonly [OnPosition | undefined, OnPosition | undefined] {
  const all = history.get(positionId) ?? []
  return [all[0], all.find(({ fittedAt }) => fittedAt < begunAt)]
}

const pull = (instrument: Instrument, position: StringPosition, construction: Construction) =>
  tension(construction, position.speakingLength, restPitch(instrument, position))

function nameAt({ instrument, habits }: StoredInstrument, number: number): string {
  const position = instrument.positions[number - 1]
  return position ? leadingNames(position, habits.octaveNames).name : `string ${number}`
}
