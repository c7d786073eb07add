'use client'

import { useState } from 'react'
import { Mic, MicOff } from 'lucide-react'
import { typedNumber } from '@/core/units/typed-number'
import { Decimal } from '@/ui/form/Decimal'
import type { Ear } from './use-ear'
import { BECAUSE, centsText } from './words'

interface RoundSideProps {
  /** The string whose turn it is, with its article; null when all are through. */
  readonly name: string | null
  readonly hears: boolean
  readonly aim: number
  readonly within: number
  readonly ear: Ear
  readonly onListen: () => void
  readonly isPractice: boolean
  readonly refused: string | null
  /** What was typed, cents; where it was left is null where it was only heard. */
  readonly onTyped: (found: number, left: number | null) => void
  readonly onSkip: () => void
  readonly onPluckSimulated: () => void
  /** Null where there is nothing to turn by. */
  readonly onTurnSimulated: (() => void) | null
  readonly onEnd: () => void
}

/** The ways in which a string can be heard: by the microphone, by another tuner and typed, or by the stand-in. */
export function RoundSide(props: RoundSideProps) {
  const { name, hears, aim, ear, isPractice, refused } = props
  const [found, setFound] = useState('')
  /** What was typed over what is told. */
  const [left, setLeft] = useState<string | null>(null)
  const leftAt = left ?? aim.toFixed(1).replace('-', '−')
  const reading = ear.heard?.reading ?? null
  return (
    <aside className="sheet grid gap-3 p-4" aria-label="Listening">
      {isPractice ? (
        <>
          <h2 className="font-semibold">The stand-in</h2>
          <p className="text-sm text-soft">
            An instrument that is not there: its strings pull on each other as those of a real one do.
          </p>
          {name !== null && (
            <>
              <button type="button" className="button w-full" onClick={props.onPluckSimulated}>
                Pluck {name}
              </button>
              {props.onTurnSimulated && (
                <button type="button" className="button button-main w-full" onClick={props.onTurnSimulated}>
                  Turn as told, and pluck
                </button>
              )}
            </>
          )}
        </>
      ) : (
        <>
          <button type="button" className="button button-main w-full" onClick={props.onListen}>
            {ear.isListening ? <MicOff size={18} aria-hidden /> : <Mic size={18} aria-hidden />}
            {ear.isListening ? 'Stop listening' : 'Listen'}
          </button>
          <p className="text-sm text-soft">
            {ear.isListening
              ? reading?.because
                ? BECAUSE[reading.because]
                : 'Pluck one string alone. It is told by its sound which one it is.'
              : 'What is heard stays in this browser; only cents are kept.'}
          </p>
          {ear.sentence && (
            <p role="alert" className="border-l-4 border-ochre bg-ochre-wash px-3 py-2 text-sm font-semibold">
              {ear.sentence}
            </p>
          )}
        </>
      )}
      {name !== null && !isPractice && (
        <form
          className="grid gap-2 border-t border-rule pt-3"
          onSubmit={(event) => {
            event.preventDefault()
            const [was, is] = [typedNumber(found), hears ? null : typedNumber(leftAt)]
            if (was === null || (!hears && is === null)) return
            props.onTyped(was, is)
            setFound('')
            setLeft(null)
          }}
        >
          <p className="text-sm font-semibold">By another tuner</p>
          <div className="flex flex-wrap items-end gap-2">
            <Decimal label="Found at, cents" value={found} onChange={setFound} />
            {!hears && <Decimal label="Left at" value={leftAt} onChange={setLeft} />}
            <button type="submit" className="button">
              Go on
            </button>
          </div>
          {refused && (
            <p role="alert" className="text-sm font-semibold text-ochre">
              {refused}
            </p>
          )}
        </form>
      )}
      <div className="flex flex-wrap gap-2 border-t border-rule pt-3">
        {name !== null && (
          <button type="button" className="button" onClick={props.onSkip}>
            Skip it
          </button>
        )}
        <button type="button" className="button" onClick={props.onEnd}>
          {isPractice ? 'Stop practising' : 'End the round'}
        </button>
      </div>
      <p className="text-sm text-soft">
        In tune is within {props.within} cents of where it is to be left
        {Math.abs(aim) >= 0.05 && name !== null ? `, ${centsText(aim)} now` : ''}. Never turn a pin before you
        know which string it holds.
      </p>
    </aside>
  )
}
