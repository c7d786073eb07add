/** What happens to a string of the laid-out workshop over the years, action by action. */
import { eq } from 'drizzle-orm'
import type { StepKey } from '@/core/fitting/step'
import { soldByClass } from '@/core/instrument/instrument'
import { leadingNames } from '@/core/instrument/names'
import { itemAt } from '@/core/list/item-at'
import { driftCents, FIRST_TUNED, newLaw, nextRetune, type DriftModel } from '@/core/settle/drift'
import { specAt } from '@/core/stores/string-spec'
import { coreMaterial } from '@/core/strings/construction'
import { DAY, HOUR } from '@/core/units/time'
import { siteWord } from '@/core/wear/break-sites'
import { endStringsOn, fitString } from '../../fitted/fitted'
import { specColumns } from '../../store/construction-columns'
import type { Store } from '../../store/database'
import { inMm } from '../../store/millimetres'
import { breaks, fittings, jobs, jobSteps, needs, parkedTails, readings } from '../../store/schema'
import { cutCoil } from '../../stores/coils'
import type { Place } from './place'
import type { WorkshopStores } from './workshop-stores'

/** Every so many fittings, its steps were ticked one by one. */
const TICKED = 4
/** Readings of a string while it settles. */
const READINGS = 5
/** Days before today from which broken strings still wait, and on which a tail is still parked. */
const UNMENDED = 8
const PARKED = 10

export interface WorkshopYears {
  readonly store: Store
  readonly stores: WorkshopStores
  readonly random: () => number
  /** The day the history ends on, ms. */
  readonly today: number
  /** Lets something happen at a time, ms, unless that is after today. */
  readonly later: (at: number, happen: () => void) => void
}

/**
 * What becomes of a string: it gives way, waits or is mended, settles, has its tail trimmed.
 *
 * @returns what to call when the string on a place gives way, ms
 */
export function stringLife({
  store,
  stores,
  random,
  today,
  later,
}: WorkshopYears): (place: Place, at: number) => void {
  const open = new Set<number>()
  let fitted = 0
  function giveWay(place: Place, at: number): void {
    const { stored, position, ids, sites } = place
    if (open.has(itemAt(ids, 0))) return
    open.add(itemAt(ids, 0))
    const site = itemAt(sites, Math.floor(random() * sites.length))
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
          .values({ positionId: itemAt(ids, 0), fittedId: fittedId ?? null, at, site })
          .returning({ id: breaks.id })
          .get().id
        return store.rows
          .insert(jobs)
          .values({ positionId: itemAt(ids, 0), breakId, openedAt: at })
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

  function need({ stored, position, ids, cut }: Place, jobId: number, name: string): void {
    store.act({ kind: 'need', summary: `${name} put on the need list`, instrumentId: stored.id }, () => {
      store.rows
        .insert(needs)
        .values({
          jobId,
          positionId: itemAt(ids, 0),
          ...specColumns(specAt(position, soldByClass(stored.instrument))),
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
    open.delete(itemAt(ids, 0))
    if (isParked) later(at + PARKED * DAY, () => trim(place, fittedId, name))
    const law = newLaw(coreMaterial(position.construction).drift)
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
    law: DriftModel,
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

  return giveWay
}
