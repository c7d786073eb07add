/**
 * What belongs on the need list and is not on it.
 */
import { Refusal } from '@/boundary/refusal'
import { fittingFigures } from '@/core/fitting/figures'
import { soldByClass, type StringPosition } from '@/core/instrument/instrument'
import { hasLainTooLong } from '@/core/stores/keeps'
import { bestOffer, cutsIn, fitting, type SortedOut } from '@/core/stores/offers'
import { isRight } from '@/core/stores/fits'
import type { SuggestedOf } from '@/core/stores/suggested-of'
import { specAt, specKey, twistToFill } from '@/core/stores/string-spec'
import { YEAR } from '@/core/wear/period'
import { AGEING_FROM } from '../fitted/lives'
import { workshopSettings } from '../workshop/settings'
import { allInstruments, positionId, type StoredInstrument } from '../instruments/instruments'
import { jobsOnStrings } from '../jobs/open-jobs'
import { stringOf } from '../jobs/string-of'
import type { Done, Store } from '../store/database'
import { cachedForToday } from '../store/cached-for-today'
import { coverings, house, instruments, positions, suppliers } from '../store/schema'
import type { Coil } from '../stores/coils'
import { FREE_FROM, freeStores } from '../stores/set-aside'
import { sparesWanted } from './spares-wanted'
import { addNeeds, LISTED_FROM, openNeeds, type WantedString } from './need-list'

/** A string that belongs on the list and is not on it yet. */
export interface SuggestedNeed extends WantedString {
  readonly string: string
  /** Chance that what is there does not last until more can be there; null where nobody reckoned it. */
  readonly runsOut: number | null
  readonly why: 'broken' | 'broken, and nothing in the stores fits' | 'too few in the stores'
}

/**
 * What the stores can't do: broken strings that nothing fits, and charted strings of which fewer cuts are left than the
 * house wants. Strings alike in everything are one; the longest stands for them.
 */
export function suggestedNeeds(store: Store): readonly SuggestedNeed[] {
  return cachedForToday(store, 'suggested', [...FREE_FROM, ...LISTED_FROM, ...AGEING_FROM, suppliers], () =>
    workedOut(store),
  )
}

function workedOut(store: Store): readonly SuggestedNeed[] {
  const onList = openNeeds(store)
  const { keepsStores } = workshopSettings(store)
  const stores = freeStores(store)
  const broken = jobsOnStrings(store).flatMap((job): SuggestedNeed[] => {
    const { row, instrument, position, habits, corrections } = job
    if (row.coilId !== null || row.sameString || onList.some(({ jobId }) => jobId === row.id)) return []
    const best = bestOffer(
      stores,
      position,
      soldByClass(instrument),
      ({ construction, end }) =>
        fittingFigures(instrument, position, habits, construction, corrections, end).cut.total,
    )
    if (keepsStores && best && best.leaves >= 0) return []
    return [
      {
        positionId: row.positionId,
        jobId: row.id,
        string: stringOf(job, position),
        why: keepsStores ? 'broken, and nothing in the stores fits' : 'broken',
        quantity: 1,
        runsOut: null,
      },
    ]
  })
  if (!keepsStores) return broken
  const wanted = sparesWanted(store)
  const listed = new Map<string, number>()
  for (const need of onList.filter(({ jobId }) => jobId === null))
    listed.set(specKey(need.spec), (listed.get(specKey(need.spec)) ?? 0) + need.quantity - need.met)
  const short = cutsOfEach(store, stores).flatMap(({ stored, position, key, there }): SuggestedNeed[] => {
    const { pieces, runsOut } = wanted(key)
    const quantity = pieces - there - (listed.get(key) ?? 0)
    return quantity <= 0
      ? []
      : [
          {
            positionId: positionId(stored, position.number),
            jobId: null,
            string: stringOf(stored, position),
            why: 'too few in the stores',
            quantity,
            runsOut: runsOut?.(there) ?? null,
          },
        ]
  })
  return [...broken, ...short]
}

interface Longest {
  readonly stored: StoredInstrument
  readonly position: StringPosition
  readonly key: string
  /** m */
  readonly cut: number
}

/** For each string that the chart of an instrument in stock asks for the longest place where it goes, with its cut. Charts and habits alone decide it. */
function longestOfEach(store: Store): readonly Longest[] {
  return store.cache.get('longest of each', [instruments, positions, coverings, house], () => {
    const longest = new Map<string, Omit<Longest, 'cut'>>()
    for (const stored of allInstruments(store).filter(({ stocked }) => stocked)) {
      for (const position of stored.instrument.positions) {
        const key = specKey(specAt(position, soldByClass(stored.instrument)))
        const had = longest.get(key)
        if (!had || had.position.freeLength < position.freeLength) longest.set(key, { stored, position, key })
      }
    }
    return [...longest.values()].map((one) => ({
      ...one,
      cut: fittingFigures(one.stored.instrument, one.position, one.stored.habits).cut.total,
    }))
  })
}

/** How many strings of each kind can be cut from what is there. The stores are kept; so is this, as long as they are. */
function cutsOfEach(store: Store, stores: SortedOut<Coil>) {
  return cachedForToday(store, 'cuts of each', FREE_FROM, () =>
    longestOfEach(store).map((one) => ({
      ...one,
      there: cutsThere(stores, one, store.now()),
    })),
  )
}

/** Strings that can be cut for a position from what is exactly right and has not lain too long. */
function cutsThere(
  stores: SortedOut<Coil>,
  { stored: { instrument }, position, cut }: Longest,
  now: number,
): number {
  const wanted = specAt(position, soldByClass(instrument))
  const { end } = wanted
  return fitting(stores, position, soldByClass(instrument))
    .filter(({ fit, spec }) => isRight(fit.grade, spec))
    .flatMap(({ coils }) => coils)
    .filter(({ construction, boughtAt }) => !hasLainTooLong(construction, (now - boughtAt) / YEAR))
    .reduce((sum, coil) => sum + cutsIn(coil, cut + (twistToFill(coil, wanted) ?? 0), end), 0)
}

/**
 * Puts on the list what belongs there, however long it is.
 *
 * @param of - all of it, what is broken, or what stock is short of
 *
 * @throws Refusal 409 when nothing is missing any more
 */
export function addSuggestedNeeds(store: Store, of: SuggestedOf = 'all'): Done<void> {
  const suggested = suggestedNeeds(store).filter(
    ({ jobId }) => of === 'all' || (of === 'stock') === (jobId === null),
  )
  if (suggested.length === 0) throw new Refusal(409, 'All that belongs on the list is on it.')
  return addNeeds(store, suggested)
}
