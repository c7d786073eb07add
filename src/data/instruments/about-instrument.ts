/**
 * What is said of an instrument beside its chart, and its leaving the shelf.
 */
import { eq } from 'drizzle-orm'
import { Refusal } from '@/boundary/refusal'
import { withRestTuning } from '@/core/instrument/change-strings'
import type { Instrument } from '@/core/instrument/instrument'
import { scientificWord } from '@/core/pitch/note'
import { openJobs } from '../jobs/open-jobs'
import type { Done, Store } from '../store/database'
import { instruments, positions } from '../store/schema'
import { instrumentBySlug, positionId, type StoredInstrument } from './instruments'

export type About = Pick<
  Instrument,
  | 'name'
  | 'owner'
  | 'maker'
  | 'model'
  | 'tensionClass'
  | 'restTuning'
  | 'referenceA'
  | 'lies'
  | 'strung'
  | 'leversOff'
> &
  Pick<StoredInstrument, 'notes' | 'chartLink' | 'stocked'>

/** What is said of an instrument now. */
export function aboutOf({ instrument, notes, chartLink, stocked }: StoredInstrument): About {
  const { name, owner, maker, model, tensionClass, restTuning, referenceA, lies, strung, leversOff } =
    instrument
  return {
    name,
    owner,
    maker,
    model,
    tensionClass,
    restTuning,
    referenceA,
    lies,
    strung,
    ...(leversOff ? { leversOff } : {}),
    notes,
    chartLink,
    stocked,
  }
}

/**
 * Changes what is said of an instrument; another rest tuning changes what its strings sound. Its address stays, so that
 * labels go on leading to it.
 */
export function changeAbout(store: Store, slug: string, about: About): Done<void> {
  const stored = instrumentBySlug(store, slug)
  const { id, instrument } = stored
  const tuned = withRestTuning(instrument, about.restTuning)
  const summary = `What is said of ${about.name} changed`
  return store.act({ kind: 'shelf', summary, instrumentId: id }, () => {
    store.rows.update(instruments).set(about).where(eq(instruments.id, id)).run()
    for (const [i, { number, note }] of tuned.positions.entries())
      if (note !== instrument.positions[i]?.note)
        store.rows
          .update(positions)
          .set({ note: scientificWord(note) })
          .where(eq(positions.id, positionId(stored, number)))
          .run()
  })
}

/**
 * Takes an instrument off the shelf, or puts it back. What happened to it stays on record.
 *
 * @throws Refusal 409 while one of its strings is being replaced
 */
export function retireInstrument(store: Store, slug: string, retired: boolean): Done<void> {
  const { id, instrument, positionIds } = instrumentBySlug(store, slug)
  const own = new Set(positionIds.values())
  if (retired && openJobs(store).some(({ positionId }) => own.has(positionId)))
    throw new Refusal(409, `A string of ${instrument.name} is being replaced: finish that first, or undo it.`)
  const summary = retired ? `${instrument.name} taken off the shelf` : `${instrument.name} back on the shelf`
  return store.act({ kind: 'shelf', summary, instrumentId: id }, () => {
    store.rows
      .update(instruments)
      .set({ retiredAt: retired ? store.now() : null })
      .where(eq(instruments.id, id))
      .run()
  })
}
