/** Steps and lines as they are read aloud. */
import { CAUTIONS, type Caution } from '@/core/fitting/caution'
import type { ShortLine } from '@/core/fitting/short-walk'
import type { SharedStep } from '@/core/fitting/together'
import type { Step, StepFigure } from '@/core/fitting/step'
import { phraseWords } from '@/ui/format/measure'

type Units = Parameters<typeof phraseWords>[1]

/** Sentences, then figures, then what to take care of. */
const together = (
  sentences: readonly string[],
  figures: readonly StepFigure[],
  after: readonly string[],
  cautions: readonly Caution[],
  units: Units,
) =>
  [
    ...sentences,
    ...figures.map(({ label, measure }) => `${label}: ${phraseWords([measure], units)}`),
    ...after,
    ...cautions.map((caution) => CAUTIONS[caution]),
  ].join('. ')

/** A step, move by move. */
export const stepAloud = ({ title, todo, figures, cautions }: Step, units: Units): string =>
  together([title, ...todo.map((phrase) => phraseWords(phrase, units))], figures, [], cautions, units)

/** A line, for someone who knows its moves. */
export const lineAloud = (
  { name, differs, figures, check, cautions }: ShortLine<SharedStep>,
  units: Units,
): string => together([name, ...differs], figures, [phraseWords(check, units)], cautions, units)
