import {
  beatsAtPitch,
  heardPair,
  SLOWEST_HEARD,
  type BeatingInterval,
  type BeatsAtPitch,
  type TunedString,
} from '@/core/ear/beats'
import type { ByEarStep, TunedInterval } from '@/core/rounds/by-ear'
import { withThe } from '@/core/instrument/with-the'

interface ByEarProps {
  /** Of the string whose turn it is. */
  readonly step: ByEarStep | undefined
  readonly nameOf: (string: number) => string
  readonly tuned: (string: number) => TunedString
  readonly onHear: (other: number) => void
}

const WORDS: Record<Exclude<TunedInterval, 'fork' | 'unison'>, string> = {
  octave: 'an octave',
  fifth: 'a fifth',
  fourth: 'a fourth',
}

/** What a string is tuned against by ear, to be heard with it. */
export function ByEar({ step, nameOf, tuned, onHear }: ByEarProps) {
  if (!step?.interval)
    return <p className="text-lg">From a tuner: nothing that is tuned yet says where it is.</p>
  const { interval, against } = step
  if (interval === 'fork' || against === null) return <p className="text-lg">By the fork.</p>
  const other = withThe(nameOf(against))
  const isAbove = tuned(step.string).hz > tuned(against).hz
  const pair = heardPair(tuned(against), tuned(step.string), interval)
  return (
    <p className="flex flex-wrap items-center gap-3 text-lg">
      {interval === 'unison'
        ? `At one with ${other}.`
        : `${WORDS[interval]} ${isAbove ? 'above' : 'below'} ${other}.`.replace(/^./, (c) => c.toUpperCase())}
      <button type="button" className="button" onClick={() => onHear(against)}>
        Hear the two
      </button>
      {pair && <span className="basis-full">{beatsWords(pair.interval, beatsAtPitch(pair))}</span>}
    </p>
  )
}

/** What to bring it to, by its beats: fifths and fourths give way a little, an octave is left as the ear wants it. */
function beatsWords(interval: BeatingInterval, { beats, is }: BeatsAtPitch): string {
  if (is === null || beats < SLOWEST_HEARD) return 'At pitch it does not beat.'
  const times = `beats ${beats.toFixed(1)} times a second`
  return interval === 'octave'
    ? `By ear it is pure. As a tuner has it, it is a little ${is}, and ${times}.`
    : `At pitch it ${times}: first pure, then a little ${is === 'narrow' ? 'closer' : 'wider'}.`
}
