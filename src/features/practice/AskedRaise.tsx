'use client'

import { useState } from 'react'
import { keyTo, pitchTurned } from '@/core/ear/key-between'
import { pluckedSound, SIMULATED_RATE, simulatedPluck } from '@/core/ear/simulated-sound'
import { positionAt, restPitch } from '@/core/instrument/instrument'
import { theName } from '@/core/instrument/names'
import { measure } from '@/core/measure'
import { centsAbove } from '@/core/pitch/cents'
import type { RaiseQuestion } from '@/core/practice/question'
import { ownFigures } from '@/core/practice/slack-score'
import { KeyDial } from '@/drawings/KeyDial'
import { measureText } from '@/ui/format/measure'
import { play } from '@/ui/sound/play'
import { useWorkshop } from '@/ui/units'
import { AskedFrame } from './AskedFrame'
import type { AskedProps } from './asked-props'
import { useStopwatch } from './use-stopwatch'

/** Nearer than this no ear is asked to bring a new string, cents. */
const WITHIN = 15
/** Turns that a hand makes, degrees of the key at a pin without gears. */
const TURNS = [-10, -2, 2, 10, 45, 180] as const

/** A string that is not there is brought up by ear, against strings that are in tune; turned too far, it breaks. */
export function AskedRaise({ own, question, count, isLast, onDone }: AskedProps<RaiseQuestion>) {
  const { units } = useWorkshop()
  const { instrument, habits } = own
  const position = positionAt(instrument, question.number)
  const target = restPitch(instrument, position)
  const gear = position.head.pin.gearRatio
  const figures = ownFigures(own, position)
  // A low, clear note: a fifth below the octave below.
  const [turned, setTurned] = useState(() => keyTo(position, target / 3) / question.stiffness)
  const [said, setSaid] = useState('Pluck it, and hear what it is brought up to.')
  const [end, setEnd] = useState<{ readonly took: number; readonly broke: boolean } | null>(null)
  const elapsed = useStopwatch()
  const hz = pitchTurned(position, turned, question.stiffness)
  const cents = hz === null || hz <= 0 ? null : centsAbove(hz, target)
  const isRight = end !== null && !end.broke && cents !== null && Math.abs(cents) <= WITHIN
  const pluck = (at = turned) => {
    const sound = simulatedPluck(position, at, question.stiffness, instrument.referenceA, 0, Math.random)
    if (sound === 'broken') return setEnd({ took: elapsed(), broke: true })
    if (sound === 'slack') return setSaid('It is slack, and only flaps.')
    setSaid('It sounds.')
    play(sound, SIMULATED_RATE)
  }
  const turn = (degrees: number) => {
    if (end) return
    const to = Math.max(0, turned + degrees * gear)
    setTurned(to)
    pluck(to)
  }
  const hear = (number: number) => {
    const other = positionAt(instrument, number)
    play(
      pluckedSound(other, instrument.referenceA, restPitch(instrument, other), Math.random),
      SIMULATED_RATE,
    )
  }
  const off = cents === null ? null : Math.round(cents)
  return (
    <AskedFrame
      picture={
        <div className="grid gap-3">
          <KeyDial
            keyFigures={figures.key}
            clockwise={position.head.pin.tightens === 'clockwise'}
            className="mx-auto max-h-[26vh] w-full md:max-h-72"
          />
          <p className="text-soft">
            {measureText(measure('semitones', figures.semitonesToBreaking), units)} from pitch to breaking.
            The key turns about {measureText(measure('angle', figures.key.perSemitone), units)} for a semitone
            there: small turns, and a pluck after each.
          </p>
        </div>
      }
      asks={question.asks}
      count={count}
      isLast={isLast}
      told={
        end && {
          isRight,
          was: end.broke
            ? 'It broke: it was turned beyond its strength.'
            : `It stands ${Math.abs(off ?? 0)} cents ${(off ?? 0) < 0 ? 'flat' : 'sharp'}.`,
          teaches: end.broke
            ? 'Never guess upward: to the string below first, level with it, then on to the octave below.'
            : isRight
              ? `It stands ${off ?? 0} cents from pitch: near enough for a string that settles.`
              : 'Bring it level with the string below first; then compare with the octave, and come up to it from below.',
        }
      }
      onNext={() =>
        end &&
        onDone({
          card: question.card,
          drill: question.drill,
          isRight,
          took: end.took,
          mistake: isRight ? null : end.broke ? 'it broke' : (off ?? 0) < 0 ? 'left flat' : 'turned sharp',
          off: end.broke ? null : off === null ? null : Math.max(-5000, off),
        })
      }
    >
      {!end && (
        <div className="mt-3 grid gap-3">
          <p className="flex flex-wrap gap-2">
            {question.beside.map((number) => (
              <button key={number} type="button" className="button min-h-12" onClick={() => hear(number)}>
                Hear {theName(positionAt(instrument, number), habits.octaveNames)}
              </button>
            ))}
            <button type="button" className="button min-h-12" onClick={() => pluck()}>
              Pluck it
            </button>
          </p>
          <fieldset>
            <legend className="label">Turn the key, and pluck</legend>
            <div className="mt-1 grid grid-cols-3 gap-2">
              {TURNS.map((degrees) => (
                <button key={degrees} type="button" className="button min-h-12" onClick={() => turn(degrees)}>
                  {degrees < 0 ? '−' : '+'}
                  {Math.abs(degrees)}°
                </button>
              ))}
            </div>
          </fieldset>
          <p aria-live="polite">{said}</p>
          <button
            type="button"
            className="button button-main min-h-14 text-lg"
            onClick={() => setEnd({ took: elapsed(), broke: false })}
          >
            It is at pitch
          </button>
        </div>
      )}
    </AskedFrame>
  )
}
