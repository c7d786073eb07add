/**
 * Lays the Lantern Shelf's two years of history before the day of loading, through the same functions that a person's
 * clicks go through.
 */
import { windsOnPin } from '@/core/fitting/head-way'
import { fittingFigures } from '@/core/fitting/figures'
import { soldByClass, type StringPosition } from '@/core/instrument/instrument'
import { endToOrder } from '@/core/knots/fastenings'
import { itemAt } from '@/core/list/item-at'
import { offersFor, sortedOut } from '@/core/stores/offers'
import { DAY, HOUR } from '@/core/units/time'
import { addCoil, openCoils } from '../stores/coils'
import { constructionFrom } from '../store/construction-columns'
import type { Store } from '../store/database'
import { fitString, stringsOn } from '../fitted/fitted'
import {
  addInstrument,
  instrumentBySlug,
  positionId,
  type StoredInstrument,
} from '../instruments/instruments'
import { chooseCoil } from '../jobs/coil-of-job'
import { finishJob } from '../jobs/finish-job'
import { jobById } from '../jobs/job'
import { logBreak } from '../jobs/log-break'
import { putOnNeedList } from '../jobs/need-of-job'
import { openJobs } from '../jobs/open-jobs'
import { metres } from '../store/millimetres'
import { openTails, trimTail } from '../fitted/parked-tails'
import { occasions } from '../store/schema'
import { logReading } from '../fitted/settling'
import { addSupplier, insertItems } from '../buying/suppliers'
import { insertSupply } from '../stores/supplies'
import type { Happening } from './happening'
import { practised } from './practised'
import type { CoilLine, HistoryLine, ShelfFiles } from './shelf-files'

/** A tail is trimmed when its string has settled, days. */
const TRIMMED_AFTER = 10

/**
 * @param store - empty, its clock the one given
 * @param files - the shelf
 * @param today - the day of loading, ms
 * @param setClock - moves the store's clock
 */
export function loadShelf(
  store: Store,
  files: ShelfFiles,
  today: number,
  setClock: (at: number) => void,
): void {
  setClock(today - 760 * DAY)
  store.act({ kind: 'shelf', summary: 'The Lantern Shelf’s instruments put on the shelf' }, () => {
    for (const instrument of files.instruments) addInstrument(store, instrument, null, true)
  })
  store.act(
    { kind: 'supplier', summary: 'Three suppliers with their catalogues, and the small things on the bench' },
    () => {
      for (const supplier of files.suppliers)
        insertItems(
          store,
          addSupplier(store, { ...supplier, simulated: true, retiredAt: null }),
          files.catalogues.get(supplier.slug) ?? [],
        )
      for (const supply of files.supplies) insertSupply(store, supply)
    },
  )
  const happenings = [
    ...files.coils.map((line) => bookedIn(store, line, today)),
    ...files.history.flatMap((line) => happeningsOf(store, line, today)),
    ...practised(store, today),
  ].sort((a, b) => a.at - b.at)
  for (const { at, happen } of happenings) {
    setClock(at)
    happen()
  }
  setClock(today)
  store.act({ kind: 'occasions', summary: 'Two dates set' }, () => {
    for (const { name, daysAhead, time } of files.occasions) {
      const day = new Date(today)
      const [hours, minutes] = time.split(':').map(Number) as [number, number]
      // By the calendar: a day on which the clocks change has not 24 hours.
      day.setDate(day.getDate() + daysAhead)
      store.rows
        .insert(occasions)
        .values({ name, at: day.setHours(hours, minutes, 0, 0) })
        .run()
    }
  })
}

function bookedIn(store: Store, line: CoilLine, today: number): Happening {
  const at = today - line.boughtDaysAgo * DAY - HOUR
  return {
    at,
    happen: () =>
      store.act({ kind: 'stores', summary: `${line.label} booked in` }, () =>
        addCoil(store, {
          label: line.label,
          construction: constructionFrom(line),
          colour: line.colour,
          tensionClass: line.tensionClass,
          maker: line.maker,
          line: line.line,
          place: line.place,
          end: line.end,
          boughtAt: at,
          boughtLength: metres(line.lengthMm),
        }),
      ),
  }
}

function happeningsOf(store: Store, line: HistoryLine, today: number): Happening[] {
  const at = today - line.daysAgo * DAY
  const on = () => instrumentBySlug(store, line.instrument)
  switch (line.do) {
    case 'new set':
      return [{ at, happen: () => fitSet(store, on()) }]
    case 'reading':
      return [{ at, happen: () => read(store, on(), line) }]
    case 'need':
      return [{ at, happen: () => putOnNeedList(store, openJobOn(store, on(), line.string)) }]
    case 'break':
      return [
        { at, happen: () => void logBreak(store, on(), line.string, line.site) },
        ...(line.mendedAfterHours === null
          ? []
          : [{ at: at + line.mendedAfterHours * HOUR, happen: () => mend(store, on(), line) }]),
        ...(line.mendedAfterHours === null || line.daysAgo < TRIMMED_AFTER
          ? []
          : [{ at: at + TRIMMED_AFTER * DAY, happen: () => trimOn(store, on(), line.string) }]),
      ]
  }
}

function fitSet(store: Store, stored: StoredInstrument): void {
  const pieces = new Map<number, StringPosition[]>()
  for (const p of stored.instrument.positions) pieces.set(p.piece, [...(pieces.get(p.piece) ?? []), p])
  store.act(
    { kind: 'new set', summary: `A whole new set on ${stored.instrument.name}`, instrumentId: stored.id },
    () => {
      for (const served of pieces.values()) {
        fitString(store, {
          instrumentId: stored.id,
          coilId: null,
          at: store.now(),
          construction: itemAt(served, 0).construction,
          positionIds: served.map((p) => positionId(stored, p.number)),
        })
      }
    },
  )
}

function openJobOn(store: Store, stored: StoredInstrument, number: number): number {
  const id = positionId(stored, number)
  const job = openJobs(store).find((open) => open.positionId === id)
  if (!job)
    throw new RangeError(
      `history.json: expected an open job on string ${number} of ${stored.instrument.name}.`,
    )
  return job.id
}

function mend(
  store: Store,
  stored: StoredInstrument,
  { string, wrapsOff = 0, cutOffMm = 0 }: HistoryLine,
): void {
  const job = jobById(store, openJobOn(store, stored, string))
  const cutOf = (construction: typeof job.position.construction) =>
    fittingFigures(job.instrument, job.position, job.habits, construction, job.corrections).cut.total
  const [best] = offersFor(
    sortedOut(openCoils(store)),
    job.position,
    soldByClass(job.instrument),
    ({ construction }) => cutOf(construction),
  )
  const coilId =
    best && best.leaves >= 0 && best.fit.grade === 'exact'
      ? best.coil.id
      : buySingle(
          store,
          job.instrument.name,
          job.position,
          job.instrument.tensionClass,
          cutOf(job.position.construction),
        )
  chooseCoil(store, job.jobId, coilId)
  const { figures, coil } = jobById(store, job.jobId)
  const wraps = Math.round(((figures.strings[0]?.wrapsBySum ?? job.habits.wraps) + wrapsOff) * 4) / 4
  const cut = Math.ceil((figures.cut.total - figures.cut.correction + metres(cutOffMm)) * 1000) / 1000
  finishJob(store, job.jobId, {
    cut: Math.min(cut, coil?.lengthLeft ?? cut),
    wraps: windsOnPin(job.position) ? wraps : null,
    gauge: null,
  })
}

/** Trims the tail that is parked on a string, if one still is. */
function trimOn(store: Store, { instrument }: StoredInstrument, number: number): void {
  const tail = openTails(store).find((one) => one.slug === instrument.slug && one.number === number)
  if (tail) trimTail(store, tail.id, null)
}

/** A single string bought for one job where the stores had none. */
function buySingle(
  store: Store,
  name: string,
  position: StringPosition,
  tensionClass: CoilLine['tensionClass'],
  length: number,
): number {
  return store.act(
    { kind: 'stores', summary: `A single string bought for string ${position.number} of ${name}` },
    () =>
      addCoil(store, {
        label: `Single for ${name} ${position.number}`,
        construction: position.construction,
        colour: position.colour,
        tensionClass,
        maker: 'Fold & Fell',
        line: 'Singles',
        place: 'Tray',
        end: endToOrder(position.tail.fastening),
        boughtAt: store.now(),
        boughtLength: Math.ceil(length * 100) / 100,
      }),
  ).result
}

function read(store: Store, stored: StoredInstrument, line: HistoryLine): void {
  const id = positionId(stored, line.string)
  const fitted = stringsOn(store, stored.id).find((string) => string.positionIds.includes(id))
  if (!fitted)
    throw new RangeError(`history.json: expected a string on position ${line.string} of ${line.instrument}.`)
  logReading(store, { fittedId: fitted.id, positionId: id, cents: line.cents, broughtBack: line.broughtBack })
}
