'use client'

import { useState } from 'react'
import { STAND_IN_RATE, twoPlucked } from '@/core/ear/stand-in'
import { positionAt, restPitch } from '@/core/instrument/instrument'
import { leadingNames } from '@/core/instrument/names'
import type { Own } from '@/core/practice/drill'
import type { TwoStrings } from '@/core/practice/question'
import { play } from '@/ui/sound/play'

/** So far the key is turned to and fro, cents: enough to hear beats slow down or hurry. */
const A_LITTLE = 4

/** Two strings to be heard together, the judged one also a little higher and lower: as one does with a key on its pin. */
export function ShownSound(props: {
  readonly own: Own
  readonly sound: TwoStrings
  readonly isTold: boolean
}) {
  const { own, sound, isTold } = props
  const { instrument, habits } = own
  const [heard, setHeard] = useState(0)
  const strings = { true: positionAt(instrument, sound.true), other: positionAt(instrument, sound.other) }
  const nameOf = (which: keyof typeof strings) => leadingNames(strings[which], habits.octaveNames).name
  const both = (cents: number) => {
    setHeard(heard + 1)
    play(
      twoPlucked(
        [
          { position: strings.true, hz: restPitch(instrument, strings.true) },
          { position: strings.other, hz: restPitch(instrument, strings.other) * 2 ** (cents / 1200) },
        ],
        instrument.referenceA,
        Math.random,
      ),
      STAND_IN_RATE,
    )
  }
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
      </p>
      {isTold && (
        <button type="button" className="button min-h-12" onClick={() => both(0)}>
          Hear both true
        </button>
      )}
      <p className="text-sm text-soft">
        {heard === 0
          ? 'It takes a loudspeaker, or headphones.'
          : 'Lower or higher: where the beats slow down, that way lies true.'}
      </p>
    </div>
  )
}
