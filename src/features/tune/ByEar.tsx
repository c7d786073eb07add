import type { ByEarStep, TunedInterval } from '@/core/rounds/by-ear'
import { withThe } from '@/core/instrument/with-the'

interface ByEarProps {
  /** Of the string whose turn it is. */
  readonly step: ByEarStep | undefined
  readonly nameOf: (string: number) => string
  /** Whether the string whose turn it is sounds higher than another. */
  readonly isAbove: (other: number) => boolean
  readonly onHear: (other: number) => void
}

const WORDS: Record<Exclude<TunedInterval, 'fork' | 'unison'>, string> = {
  octave: 'an octave',
  fifth: 'a fifth',
  fourth: 'a fourth',
}

/** What a string is tuned against by ear, to be heard with it. */
export function ByEar({ step, nameOf, isAbove, onHear }: ByEarProps) {
  if (!step?.interval)
    return <p className="text-lg">From a tuner: nothing that is tuned yet says where it is.</p>
  const { interval, against } = step
  if (interval === 'fork' || against === null) return <p className="text-lg">By the fork.</p>
  const other = withThe(nameOf(against))
  return (
    <p className="flex flex-wrap items-center gap-3 text-lg">
      {interval === 'unison'
        ? `At one with ${other}.`
        : `${WORDS[interval]} ${isAbove(against) ? 'above' : 'below'} ${other}.`.replace(/^./, (c) =>
            c.toUpperCase(),
          )}
      <button type="button" className="button" onClick={() => onHear(against)}>
        Hear the two
      </button>
    </p>
  )
}
