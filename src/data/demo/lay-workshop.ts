/**
 * Lays out a large workshop with years of history, for benches, tests and demonstrations: the demo's instruments many
 * times over, each with its own gauges, and strings that break, are replaced, settle and are bought anew. It is laid as
 * the demo's history is, action by action, but without the checks that a person's clicks go through.
 */
import { eq } from 'drizzle-orm'
import { ruleOfTail } from '@/core/fitting/tail'
import { FRESH } from '@/core/fitting/context'
import { fittingFigures } from '@/core/fitting/figures'
import { fittingContext, fittingSteps } from '@/core/fitting/fitting-steps'
import type { StepKey } from '@/core/fitting/step'
import { windsOnPin } from '@/core/fitting/head-way'
import { soldByClass, samePiece, type Instrument, type StringPosition } from '@/core/instrument/instrument'
import { leadingNames } from '@/core/instrument/names'
import { seeded } from '@/core/random/seeded'
import { driftCents, FIRST_TUNED, nextRetune, STARTING_TAU, type DriftLaw } from '@/core/settle/drift'
import type { SoldPacket } from '@/core/stores/catalogue-cells'
import { specAt, specKey, type SoldSpec } from '@/core/stores/string-spec'
import { coreMaterial, outerGauge, type Construction } from '@/core/strings/construction'
import { sitesFor, siteWord, type BreakSite } from '@/core/wear/break-sites'
import { addSupplier, insertItems, packetColumns } from '../buying/suppliers'
import { endStringsOn, fitString } from '../fitted/fitted'
import { houseSettings } from '../house/house'
import {
  addInstrument,
  instrumentBySlug,
  positionId,
  type StoredInstrument,
} from '../instruments/instruments'
import { specColumns } from '../store/construction-columns'
import type { Store } from '../store/database'
import { inMm, metres } from '../store/millimetres'
import {
  breaks,
  coils,
  fittings,
  jobs,
  jobSteps,
  needs,
  occasions,
  orderedNeeds,
  orderLines,
  orders,
  parkedTails,
  readings,
} from '../store/schema'
import { addCoil, cutCoil } from '../stores/coils'
import { insertSupply } from '../stores/supplies'
import type { ShelfFiles } from './shelf-files'
import { workshopName, workshopOwner } from './workshop-names'

const HOUR = 3_600_000
const DAY = 24 * HOUR

export interface WorkshopSize {
  readonly instruments: number
  readonly years: number
  readonly seed: number
}

/** Strings that give way on an instrument in a year, of every string it has. */
const BREAKS_A_STRING = 0.36
/** Every so many fittings, its steps were ticked one by one. */
const TICKED = 4
/** Readings of a string while it settles. */
const READINGS = 5
/** Days before today from which broken strings still wait, and on which a tail is still parked. */
const UNMENDED = 8
const PARKED = 10
/** A coil lies in the stores for so many days before what is left of it is thrown away. */
const KEPT_FOR = 500
/** Pieces that are bought together, and packets in an order. */
const LINES_AN_ORDER = 8

interface Place {
  readonly stored: StoredInstrument
  readonly position: StringPosition
  readonly ids: readonly number[]
  readonly spec: SoldSpec
  readonly key: string
  /** m; wraps null where nothing is wound on a pin. */
  readonly cut: number
  readonly wraps: number | null
  readonly sites: readonly BreakSite[]
  readonly steps: readonly StepKey[]
  readonly parked: boolean
}

interface OpenCoil {
  readonly id: number
  readonly label: string
  left: number
  readonly boughtAt: number
}

/**
 * @param store - empty, its clock the one given
 * @param files - the demo's
 * @param today - the day the history ends on, ms
 * @param setClock - moves the store's clock
 */
export function layWorkshop(
  store: Store,
  files: ShelfFiles,
  { instruments, years, seed }: WorkshopSize,
  today: number,
  setClock: (at: number) => void,
): void {
  const random = seeded(seed)
  const start = today - years * 365 * DAY
  setClock(start)
  store.act({ kind: 'shelf', summary: `${instruments} instruments put on the shelf` }, () => {
    for (let i = 0; i < instruments; i += 1) addInstrument(store, madeUp(files.instruments, i))
  })
  const supplierIds = store.act(
    { kind: 'supplier', summary: 'Three suppliers with their catalogues' },
    () => {
      for (const supply of files.supplies) insertSupply(store, supply)
      return files.suppliers.map((supplier) => {
        const id = addSupplier(store, { ...supplier, retiredAt: null })
        insertItems(store, id, files.catalogues.get(supplier.slug) ?? [])
        return id
      })
    },
  ).result
  const shelf = Array.from({ length: instruments }, (_, i) =>
    placesOf(store, instrumentBySlug(store, slugOf(workshopName(i)))),
  )
  const stores = new Stores(store, supplierIds, shelf.flat(), random)
  for (const places of shelf) fitSet(store, places)

  // 1. What happens, in the order of time.
  const happenings: { at: number; happen: () => void }[] = []
  for (const places of shelf) {
    const broken = Math.round(places.length * BREAKS_A_STRING * years * (0.6 + 0.8 * random()))
    for (let i = 0; i < broken; i += 1) {
      const place = places[Math.floor(random() ** 1.4 * places.length)] as Place
      const at = Math.round(start + 20 * DAY + random() * (today - start - 20 * DAY - HOUR))
      happenings.push({ at, happen: () => giveWay(place, at) })
    }
  }
  const later = (at: number, happen: () => void) => {
    if (at < today) insertByTime(happenings, { at: Math.round(at), happen })
  }
  happenings.sort((a, b) => b.at - a.at)

  let fitted = 0
  function giveWay(place: Place, at: number): void {
    const { stored, position, ids, sites } = place
    if (open.has(ids[0] as number)) return
    open.add(ids[0] as number)
    const site = sites[Math.floor(random() * sites.length)] as BreakSite
    const name = `${leadingNames(position).name} of ${stored.instrument.name}`
    const jobId = store.act(
      {
        kind: 'break',
        summary: `${name} gave way: ${siteWord(site, position).toLowerCase()}`,
        instrumentId: stored.id,
      },
      () => {
        const [fittedId] = endStringsOn(store, ids, at)
        const breakId = store.rows
          .insert(breaks)
          .values({ positionId: ids[0] as number, fittedId: fittedId ?? null, at, site })
          .returning({ id: breaks.id })
          .get().id
        return store.rows
          .insert(jobs)
          .values({ positionId: ids[0] as number, breakId, openedAt: at })
          .returning({ id: jobs.id })
          .get().id
      },
    ).result
    const mendedAt = Math.round(at + (1 + 30 * random()) * HOUR)
    if (at < today - UNMENDED * DAY || random() < 0.3)
      later(mendedAt, () => mend(place, jobId, name, mendedAt))
    else if (random() < 0.6) later(at + HOUR, () => need(place, jobId, name))
    else if (random() < 0.5) later(at + HOUR, () => begin(place, jobId, name))
  }

  function need({ stored, position, ids, cut, spec }: Place, jobId: number, name: string): void {
    store.act({ kind: 'need', summary: `${name} put on the need list`, instrumentId: stored.id }, () => {
      store.rows
        .insert(needs)
        .values({
          jobId,
          positionId: ids[0] as number,
          ...specColumns(
            specAt(position, soldByClass(stored.instrument) === null ? null : spec.tensionClass),
          ),
          lengthMm: Math.ceil(inMm(cut)),
          openedAt: store.now(),
        })
        .run()
    })
  }

  function begin(place: Place, jobId: number, name: string): void {
    const coilId = stores.coilFor(place)
    store.act({ kind: 'coil', summary: `A coil chosen for ${name}`, instrumentId: place.stored.id }, () => {
      store.rows.update(jobs).set({ coilId }).where(eq(jobs.id, jobId)).run()
    })
    for (const step of place.steps.slice(0, 4)) tick(place, jobId, step, name)
  }

  function tick({ stored }: Place, jobId: number, step: StepKey, name: string): void {
    store.act({ kind: 'step', summary: `${step}: done, ${name}`, instrumentId: stored.id }, () => {
      store.rows.insert(jobSteps).values({ jobId, step, doneAt: store.now() }).run()
    })
  }

  function mend(place: Place, jobId: number, name: string, at: number): void {
    const { stored, position, ids, cut, wraps, steps } = place
    const coilId = stores.coilFor(place)
    const label = stores.take(coilId, cut)
    store.act({ kind: 'coil', summary: `${label} chosen for the ${name}`, instrumentId: stored.id }, () => {
      store.rows.update(jobs).set({ coilId }).where(eq(jobs.id, jobId)).run()
    })
    fitted += 1
    if (fitted % TICKED === 0) for (const step of steps) tick(place, jobId, step, name)
    const isParked = place.parked
    const fittedId = store.act(
      { kind: 'fitting', summary: `${name} fitted from ${label}`, instrumentId: stored.id },
      () => {
        cutCoil(store, coilId, cut, jobId)
        const id = fitString(store, {
          instrumentId: stored.id,
          coilId,
          construction: position.construction,
          at: at - FIRST_TUNED * HOUR,
          positionIds: ids,
        })
        if (isParked) store.rows.insert(parkedTails).values({ fittedId: id, jobId, parkedAt: at }).run()
        store.rows
          .insert(fittings)
          .values({
            jobId,
            fittedId: id,
            at,
            predictedCutMm: inMm(cut),
            cutMm: Math.round(inMm(cut) + 10 * (random() - 0.3)),
            predictedWraps: wraps,
            wraps: wraps === null ? null : Math.round((wraps + 0.35 + 0.8 * (random() - 0.5)) * 4) / 4,
          })
          .run()
        store.rows.update(jobs).set({ finishedAt: at }).where(eq(jobs.id, jobId)).run()
        return id
      },
    ).result
    open.delete(ids[0] as number)
    if (isParked) later(at + PARKED * DAY, () => trim(place, fittedId, name))
    const law: DriftLaw = { perDecade: coreMaterial(position.construction).drift, tau: STARTING_TAU }
    later(at + HOUR, () =>
      settle(place, fittedId, name, at, law, FIRST_TUNED, 0.7 + 0.6 * random(), READINGS),
    )
  }

  function trim({ stored }: Place, fittedId: number, name: string): void {
    store.act({ kind: 'trim', summary: `The tail of the ${name} trimmed`, instrumentId: stored.id }, () => {
      store.rows
        .update(parkedTails)
        .set({ trimmedAt: store.now() })
        .where(eq(parkedTails.fittedId, fittedId))
        .run()
    })
  }

  function settle(
    place: Place,
    fittedId: number,
    name: string,
    at: number,
    law: DriftLaw,
    tuned: number,
    own: number,
    left: number,
  ): void {
    const age = nextRetune(law, tuned, 15) * (0.9 + 0.3 * random())
    const readAt = Math.round(at + (age - FIRST_TUNED) * HOUR)
    if (!Number.isFinite(age) || left === 0) return
    later(readAt, () => {
      const cents = Math.round(own * driftCents(law, tuned, age) + 3 * (random() - 0.5))
      store.act(
        {
          kind: 'reading',
          summary: `${name} read at ${cents} cents and brought back`,
          instrumentId: place.stored.id,
        },
        () => {
          for (const id of place.ids)
            store.rows
              .insert(readings)
              .values({ fittedId, positionId: id, at: readAt, cents, broughtBack: true, kind: 'settling' })
              .run()
        },
      )
      settle(place, fittedId, name, at, law, age, own, left - 1)
    })
  }

  // 2. Let it happen.
  const open = new Set<number>()
  for (let next = happenings.pop(); next; next = happenings.pop()) {
    setClock(next.at)
    next.happen()
  }
  setClock(today)
  stores.orderWhatIsNeeded()
  store.act({ kind: 'occasions', summary: 'Two dates set' }, () => {
    for (const { name, daysAhead } of files.occasions)
      store.rows
        .insert(occasions)
        .values({ name, at: today + daysAhead * DAY })
        .run()
  })
}

/** Keeps what happens sorted, the last first, so that the next is popped off the end. */
function insertByTime<T extends { readonly at: number }>(sorted: T[], one: T): void {
  let [low, high] = [0, sorted.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if ((sorted[middle] as T).at > one.at) low = middle + 1
    else high = middle
  }
  sorted.splice(low, 0, one)
}

const slugOf = (name: string) => name.toLowerCase().replace(/ /g, '-')

/** One of the demo's instruments under another name, its gauges a few hundredths off. */
function madeUp(all: readonly Instrument[], index: number): Instrument {
  const one = all[index % all.length] as Instrument
  const off = (Math.floor(index / all.length) % 6) * 0.01e-3
  const name = workshopName(index)
  return {
    ...one,
    name,
    slug: slugOf(name),
    owner: workshopOwner(index),
    positions: one.positions.map((p) => ({ ...p, construction: thicker(p.construction, off) })),
  }
}

function thicker(construction: Construction, by: number): Construction {
  return construction.kind === 'plain' ? { ...construction, gauge: construction.gauge + by } : construction
}

function placesOf(store: Store, stored: StoredInstrument): readonly Place[] {
  const { instrument } = stored
  const { habits } = houseSettings(store)
  return instrument.positions.flatMap((position): Place[] => {
    const served = samePiece(instrument, position)
    if (served[0]?.number !== position.number) return []
    const figures = fittingFigures(instrument, position, habits)
    const context = fittingContext(instrument, position, figures, habits, FRESH)
    const spec = { ...specAt(position, instrument.tensionClass), tensionClass: instrument.tensionClass }
    return [
      {
        stored,
        position,
        ids: served.map((p) => positionId(stored, p.number)),
        spec,
        key: specKey(spec),
        cut: Math.ceil(figures.cut.total * 1000) / 1000,
        wraps: windsOnPin(position) ? (figures.strings[0]?.wrapsBySum ?? null) : null,
        sites: sitesFor(position),
        steps: fittingSteps(context).map(({ key }) => key),
        parked: ruleOfTail(context) === 'parked',
      },
    ]
  })
}

function fitSet(store: Store, places: readonly Place[]): void {
  const [first] = places
  if (!first) return
  const { stored } = first
  store.act(
    { kind: 'new set', summary: `A whole new set on ${stored.instrument.name}`, instrumentId: stored.id },
    () => {
      for (const { position, ids } of places)
        fitString(store, {
          instrumentId: stored.id,
          coilId: null,
          construction: position.construction,
          at: store.now(),
          positionIds: ids,
        })
    },
  )
}

/** The stores as they are used up and filled again. */
class Stores {
  private readonly byKey = new Map<string, OpenCoil[]>()
  private readonly byId = new Map<number, OpenCoil>()
  private packet = 0

  constructor(
    private readonly store: Store,
    private readonly supplierIds: readonly number[],
    private readonly places: readonly Place[],
    private readonly random: () => number,
  ) {}

  /** The coil to cut from; bought where there is none. */
  coilFor(place: Place): number {
    const there = this.serving(place)
    if (there) return there.id
    this.buy(place)
    return (this.serving(place) as OpenCoil).id
  }

  /** Notes what is cut off a coil; returns its label. */
  take(id: number, length: number): string {
    const coil = this.byId.get(id) as OpenCoil
    coil.left = metres(Math.max(0, inMm(coil.left) - inMm(length)))
    return coil.label
  }

  /** Orders at every stage that an order can be in, for the needs that are open. */
  orderWhatIsNeeded(): void {
    const open = this.store.rows.select().from(needs).all()
    open.slice(0, Math.floor(open.length / 2)).forEach((need, i) => {
      const place = this.places.find(({ ids }) => ids.includes(need.positionId)) as Place
      this.store.act({ kind: 'order', summary: 'An order written' }, () => {
        const state = (['to send', 'acknowledged', 'sent'] as const)[i % 3] ?? 'sent'
        const orderId = this.insertOrder(state, 4)
        const lineId = this.insertLine(orderId, place, state === 'acknowledged' ? 'confirmed' : null, 0)
        this.store.rows.insert(orderedNeeds).values({ needId: need.id, orderLineId: lineId }).run()
      })
    })
  }

  private serving({ key, cut }: Place): OpenCoil | undefined {
    const now = this.store.now()
    const all = this.byKey.get(key) ?? []
    const old = all.filter((coil) => coil.left < cut && now - coil.boughtAt > KEPT_FOR * DAY && coil.left > 0)
    if (old.length > 0) {
      this.store.act({ kind: 'stores', summary: `${old.length} remainders thrown away` }, () => {
        for (const { id } of old)
          this.store.rows.update(coils).set({ discardedAt: now }).where(eq(coils.id, id)).run()
      })
      this.byKey.set(
        key,
        all.filter((coil) => !old.includes(coil)),
      )
    }
    return this.byKey.get(key)?.find((coil) => coil.left >= cut + 0.001 && now >= coil.boughtAt)
  }

  /** An order of what is wanted now and of others that are likely to be wanted, written, sent and received. */
  private buy(wanted: Place): void {
    const { store, random } = this
    const others = Array.from(
      { length: LINES_AN_ORDER - 1 },
      () => this.places[Math.floor(random() * this.places.length)] as Place,
    )
    const seen = new Set<string>()
    const lines = [wanted, ...others].filter(({ key }) => !seen.has(key) && seen.add(key))
    store.act({ kind: 'order', summary: 'An order written, sent and booked in' }, () => {
      const orderId = this.insertOrder('closed', 12)
      for (const place of lines) {
        const lineId = this.insertLine(orderId, place, 'confirmed', 1)
        const bought = Math.ceil(place.cut * (1 + Math.floor(random() * 3)) * 20 + 0.5) / 20
        const label = `Packet ${(this.packet += 1)}`
        const id = addCoil(store, {
          ...place.spec,
          label,
          maker: 'Fold & Fell',
          line: 'Singles',
          place: `Drawer ${'ABCDEFGH'[this.packet % 8]}${1 + (this.packet % 9)}`,
          boughtAt: store.now(),
          boughtLength: bought,
          orderLineId: lineId,
        })
        const coil = { id, label, left: bought, boughtAt: store.now() }
        this.byId.set(id, coil)
        this.byKey.set(place.key, [...(this.byKey.get(place.key) ?? []), coil])
      }
    })
  }

  private insertOrder(state: 'to send' | 'sent' | 'acknowledged' | 'closed', daysAgo: number): number {
    const at = this.store.now() - daysAgo * DAY
    return this.store.rows
      .insert(orders)
      .values({
        supplierId: this.supplierIds[Math.floor(this.random() * this.supplierIds.length)] as number,
        state,
        openedAt: at,
        sentAt: state === 'to send' ? null : at,
        postageMinor: 690,
      })
      .returning({ id: orders.id })
      .get().id
  }

  private insertLine(orderId: number, place: Place, answer: 'confirmed' | null, received: number): number {
    const packet = packetFor(place)
    return this.store.rows
      .insert(orderLines)
      .values({
        orderId,
        ...packetColumns(packet),
        packs: 1,
        received,
        answer,
        forStrings: JSON.stringify([`string ${place.position.number}; ${place.stored.instrument.name}`]),
        holds: JSON.stringify([{ ...packetColumns(packet), held: packet.pieces }]),
      })
      .returning({ id: orderLines.id })
      .get().id
  }
}

function packetFor({ spec, cut, position }: Place): SoldPacket {
  return {
    ...spec,
    part: `FF${position.number}-${Math.round(inMm(outerGauge(spec.construction)) * 100)}`,
    name: `String of ${inMm(outerGauge(spec.construction)).toFixed(2)} mm`,
    maker: 'Fold & Fell',
    line: 'Singles',
    length: Math.ceil(cut * 20) / 20,
    pieces: 1,
    priceMinor: 450,
    setOf: null,
  }
}
