/** The latest hour to fit a string so that it holds through a date. */
import { holdsFromAge } from '@/core/settle/band'
import { newString } from '@/core/settle/new-string'
import { FIRST_TUNED } from '@/core/settle/drift'
import { HOUR } from '@/core/units/time'
import type { Evening } from '@/core/wear/around-date'
import type { Material } from '@/core/strings/materials'
import { workshopSettings } from '../workshop/settings'
import { toOpenHours } from '../workshop/open-hours'
import type { Store } from '../store/database'

const HALF_HOUR = HOUR / 2

/** When a string must be on at the latest. */
export interface LatestFit {
  /** ms, in the house's hours; null where that is past */
  readonly latest: number | null
  /** How long before the date that is whoever is there, ms. */
  readonly lead: number
}

/** The latest hour to fit a string of a material. */
export function latestToFit(store: Store, material: Material, { at: begins, hours }: Evening): LatestFit {
  const now = store.now()
  const age = holdsFromAge(newString(material), hours, workshopSettings(store).holdsWithinCents)
  const lead = Math.max(FIRST_TUNED, age) * HOUR
  const due = begins - lead
  const at = due - (due % HALF_HOUR)
  const open = toOpenHours(store)(at)
  return { latest: open > now && open <= at ? open : null, lead }
}
