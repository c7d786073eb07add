/** How long a string keeps in the stores: it ages there too, only slower than under load. */
import { coreMaterial, type Construction } from '../strings/construction'
import type { Material } from '../strings/materials'

/** Closed against air and damp, years; our own estimates. */
const KEEPS: Readonly<Record<Material, number>> = {
  gut: 5,
  silk: 5,
  'nylon 6.12': 10,
  'nylon 6.6': 10,
  fluorocarbon: 10,
  steel: 15,
  'phosphor bronze': 12,
  brass: 12,
  copper: 12,
}

const LOOK_FOR: Readonly<Record<'gut' | 'polymer' | 'metal', string>> = {
  gut: 'Bend its end: a white mark is damaged fibre.',
  polymer: 'Bend its end: it must spring back, and show no crack.',
  metal: 'Look for rust or green, and for kinks.',
}

/** How long such a string keeps, years. */
export const keepsFor = (construction: Construction): number => KEEPS[coreMaterial(construction).name]

/** Whether it has lain longer than it keeps: nobody should count on it. */
export const hasLainTooLong = (construction: Construction, years: number): boolean =>
  years > keepsFor(construction)

/** What to look for in a string that has lain too long. */
export function lainTooLongWords(construction: Construction, years: number): string {
  const { name, wire } = coreMaterial(construction)
  const look = LOOK_FOR[wire ? 'metal' : name === 'gut' || name === 'silk' ? 'gut' : 'polymer']
  return `It has lain for ${Math.floor(years)} years; ${name} keeps about ${keepsFor(construction)}. It is not counted among the spares. ${look}`
}
