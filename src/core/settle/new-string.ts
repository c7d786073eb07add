import { propertiesOf, type Material } from '../strings/materials'
import type { Known } from './band'
import { ANY_STRING } from './belief'
import { newLaw } from './drift'
import { weatherOf } from './weather'

/** A new string of a material, of which nothing is known yet. */
export function newString(material: Material): Known {
  return { start: newLaw(propertiesOf(material).drift), weather: weatherOf(material), share: ANY_STRING }
}
