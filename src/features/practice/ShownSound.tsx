'use client'

import { useState } from 'react'
import { atRest, beatsWhen, pureAt } from '@/core/ear/beats'
import { SIMULATED_RATE, twoPlucked } from '@/core/ear/simulated-sound'
import { positionAt } from '@/core/instrument/instrument'
import { leadingNames } from '@/core/instrument/names'
import type { Choice } from '@/core/practice/choice'
import type { Own } from '@/core/practice/drill'
import type { TwoStrings } from '@/core/practice/question'
import { BeatsDrawing, type BeatsMark } from '@/drawings/BeatsDrawing'
import { play } from '@/ui/sound/play'

/** So far the key is turned to and fro, cents: enough to hear beats slow down or hurry. */
const A_LITTLE = 4

/** Two strings to be heard together, the judged one also a little higher and lower: as one does with a key on its pin. */
export function ShownSound(props: {
  readonly own: Own
  readonly sound: TwoStrings
  /** Null while it is asked. */
  readonly chosen: Choice | null
}) {
  const { own, sound, chosen } = props
  const { instrument, habits } = own
  const [heard, setHeard] = useState(0)
  const tuned = (number: number) => atRest(instrument, positionAt(instrument, number))
  const pair = { true: tuned(sound.true), other: tuned(sound.other), interval: sound.interval }
  const pure = pureAt(pair)
  const nameOf = (which: 'true' | 'other') => leadingNames(pair[which].position, habits.octaveNames).name
  const both = (off: number) => {
    setHeard(heard + 1)
    play(
      twoPlucked(
        [pair.true, { ...pair.other, hz: pair.other.hz * 2 ** ((pure + off) / 1200) }],
        instrument.referenceA,
        Math.random,
      ),
      SIMULATED_RATE,
    )
  }
  const taken = chosen && chosen.mistake !== null ? chosen.brings : null
  const marks: readonly BeatsMark[] = [
    ...(chosen ? [{ cents: sound.off, words: 'As it sounded', isRight: true }] : []),
    ...(taken === null ? [] : [{ cents: taken, words: 'As you took it', isRight: false }]),
  ]
  return (
    <div className="grid gap-2">
      <p>
        In tune: <strong>{nameOf('true')}</strong>. To be judged: <strong>{nameOf('other')}</strong>. Listen
        to where they beat.
      </p>
      <button type="button" className="button button-main min-h-14 text-lg" onClick={() => both(sound.off)}>
        Hear both
      </button>
      <p className="grid grid-cols-2 gap-2">
        <button type="button" className="button min-h-12" onClick={() => both(sound.off - A_LITTLE)}>
          {nameOf('other')} a little lower
        </button>
        <button type="button" className="button min-h-12" onClick={() => both(sound.off + A_LITTLE)}>
          {nameOf('other')} a little higher
        </button>
        {chosen && (
          <button
            type="button"
            className={`button min-h-12 ${taken === null || taken === 0 ? 'col-span-2' : ''}`}
            onClick={() => both(0)}
          >
            Hear both pure
          </button>
        )}
        {taken !== null && taken !== 0 && (
          <button type="button" className="button min-h-12" onClick={() => both(taken)}>
            Hear it as you took it
          </button>
        )}
      </p>
      <p className="text-sm text-soft">
        {heard === 0
          ? 'It takes a loudspeaker, or headphones.'
          : 'Lower or higher: where the beats slow down, that way lies pure.'}
      </p>
      <BeatsDrawing
        beatsAt={(cents) => beatsWhen(pair, cents)}
        tuner={-pure}
        marks={marks}
        className={`mt-2 w-full md:max-w-[34rem] ${chosen ? '' : 'max-md:hidden'}`}
      />
    </div>
  )
}
