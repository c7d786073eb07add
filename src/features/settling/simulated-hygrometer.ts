/** A hygrometer that is not there: a heated room in the course of its day, with a slow turn of the weather. */
import { seeded } from '@/core/random/seeded'
import { DAY, HOUR } from '@/core/units/time'

/** @param at - ms since 1970; the same reading for the same quarter of an hour */
export function readSimulatedHygrometer(at: number): { readonly celsius: number; readonly humidity: number } {
  const random = seeded(Math.floor(at / (HOUR / 4)) % 1e9)
  const day = Math.sin((2 * Math.PI * (at % DAY)) / DAY - 2)
  const spell = Math.sin((2 * Math.PI * at) / (9 * DAY)) + Math.sin((2 * Math.PI * at) / (23 * DAY))
  const tenth = (value: number) => Math.round(value * 10) / 10
  return {
    celsius: tenth(20.5 + 1.5 * day + 0.6 * spell + 0.3 * (random() - 0.5)),
    humidity: Math.round(46 - 4 * day + 7 * spell + 2 * (random() - 0.5)),
  }
}
