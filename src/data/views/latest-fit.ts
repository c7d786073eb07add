/** The latest hour to fit a string so that it holds through a date. */
import { holdsFromAge, type Known } from '@/core/settle/band'
import { ANY_STRING } from '@/core/settle/belief'
import { FIRST_TUNED, newLaw } from '@/core/settle/drift'
import { weatherOf } from '@/core/settle/weather'
import { propertiesOf, type Material } from '@/core/strings/materials'
import { houseSettings } from '../house/house'
import { toOpenHours } from '../house/open-hours'
import type { Store } from '../store/database'

const HOUR = 3_600_000
const HALF_HOUR = HOUR / 2

/**
 * @param date - when it begins, ms, and how long it lasts, h
 * @returns ms, in the house's hours; null where that is past
 */
export function latestToFit(
  store: Store,
  material: Material,
  { at: begins, hours }: { readonly at: number; readonly hours: number },
): number | null {
  const now = store.now()
  const age = holdsFromAge(newString(material), hours, houseSettings(store).holdsWithinCents)
  const due = begins - Math.max(FIRST_TUNED, age) * HOUR
  const at = due - (due % HALF_HOUR)
  const open = toOpenHours(store)(at)
  return open > now && open <= at ? open : null
}

/** A new string of a material, of which nothing is known yet. */
function newString(material: Material): Known {
  return {
    start: newLaw(propertiesOf(material).drift),
    weather: weatherOf(material),
    share: ANY_STRING,
  }
}
