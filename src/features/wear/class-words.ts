import type { LifeClass } from '@/core/wear/life-class'

/** A class of strings as a harpist says it. */
export const CLASS_WORDS: Readonly<Record<LifeClass, string>> = {
  'gut treble': 'gut from C5 up',
  'gut middle': 'gut from C3 to B4',
  'gut bass': 'gut below C3',
  'nylon treble': 'nylon from C5 up',
  'nylon other': 'nylon below C5',
  fluorocarbon: 'fluorocarbon',
  silk: 'silk',
  'wound on nylon or silk': 'wound on nylon, gut or silk',
  'bass wire': 'wound on steel',
  'plain steel': 'plain steel',
  'brass and bronze': 'brass and bronze',
}

/** An age as people say it. */
export function ageText(years: number): string {
  if (years < 1 / 6) return `${Math.max(1, Math.round(years * 365.25))} d`
  return years < 1.95 ? `${Math.round(years * 12)} months` : `${years.toFixed(years < 9.95 ? 1 : 0)} years`
}

/** How many breaks would be usual; of few, whether there would be any. */
export const usualText = (expected: number): string => (expected < 0.1 ? 'hardly any' : expected.toFixed(1))
