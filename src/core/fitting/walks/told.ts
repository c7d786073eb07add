/** The steps of a string of an instrument, assembled as a job has them, as sentences: what the tests of the walks read. */
import { readShelf } from '@/data/demo/shelf-files'
import { phraseWords } from '@/ui/format/measure'
import { fromPreset } from '../../instrument/presets'
import { PRESETS } from '../../instrument/preset-families'
import { FAMILIES, type Family } from '../../instrument/family'
import { positionAt, type Instrument } from '../../instrument/instrument'
import { readNotes } from '../../instrument/read-notes'
import { requireValue } from '../../list/require-value'
import type { Phrase } from '../../measure'
import { FRESH, type FittingState } from '../context'
import { fittingFigures } from '../figures'
import { fittingContext, fittingSteps } from '../fitting-steps'
import { DEFAULT_HABITS, type Habits } from '../habits'
import type { Step } from '../step'

export const shelf = readShelf('demo').instruments
export const on = (slug: string): Instrument => requireValue(shelf.find((one) => one.slug === slug))

/** An instrument of each family that is nobody’s: from its preset. */
export const own = (family: Family, notes = PRESETS[family].begins.notes): Instrument => {
  const { restTuning, tensionClass } = PRESETS[family].begins
  return fromPreset({
    about: {
      slug: 'own',
      name: 'Own',
      family,
      maker: '',
      model: '',
      owner: '',
      strung: 'as usual',
      referenceA: 440,
      restTuning,
      tensionClass,
    },
    notes: readNotes(notes),
    measured: new Map(),
  })
}
export const everyInstrument = [...shelf, ...FAMILIES.map((family) => own(family))]

export const text = (phrase: Phrase): string => phraseWords(phrase, 'mm')
export const sentencesOf = (words: string): readonly string[] =>
  words.split(/(?<=[.?!])\s+/).filter((sentence) => sentence !== '')

export function told(
  instrument: Instrument,
  number: number,
  habits: Partial<Habits> = {},
  state: Partial<FittingState> = {},
) {
  const all = { ...DEFAULT_HABITS, ...habits }
  const position = positionAt(instrument, number)
  const figures = fittingFigures(instrument, position, all)
  const context = fittingContext(instrument, position, figures, all, {
    ...FRESH,
    site: 'mid-length',
    ...state,
  })
  return { context, figures, steps: fittingSteps(context) }
}

/** Every sentence that a hand is told, step by step, and the figures beside it. */
export function lines(steps: readonly Step[]): readonly string[] {
  return steps.flatMap((step) => [
    ...step.todo.map((phrase) => `${step.key}: ${text(phrase)}`),
    ...step.figures.map(({ label, measure }) => `${step.key} = ${label}: ${text([measure])}`),
  ])
}

/**
 * Finds each move in order: the first line that matches it, from where the one before it was found.
 *
 * @returns tags that are not told, or not in this order
 */
export function missing(steps: readonly Step[], moves: Readonly<Record<string, RegExp>>): readonly string[] {
  const all = lines(steps)
  let from = 0
  return Object.entries(moves).flatMap(([tag, move]) => {
    const at = all.findIndex((line, i) => i >= from && move.test(line))
    if (at < 0) return [`${tag}: ${move.source}`]
    from = at
    return []
  })
}
