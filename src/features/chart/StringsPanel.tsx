'use client'

import { useState } from 'react'
import { setUpCalls } from '@/boundary/endpoints-set-up'
import { callsByHand } from '@/boundary/endpoints-by-hand'
import { samePiece, type Instrument } from '@/core/instrument/instrument'
import { useAct } from '@/ui/shell/use-act'
import { useLeadingNames } from '@/ui/use-leading-names'

interface StringsPanelProps {
  readonly instrument: Instrument
  /** Whether something is typed that is not kept yet: its numbers would no longer be right. */
  readonly isTyped: boolean
  readonly onClose: () => void
}

/** Puts strings in and takes them away; the others are numbered anew. */
export function StringsPanel({ instrument, isTyped, onClose }: StringsPanelProps) {
  const leadingNames = useLeadingNames()
  const { act, refused } = useAct()
  const { positions, slug, name } = instrument
  const [chosen, setChosen] = useState(positions.length)
  const number = Math.min(chosen, positions.length)
  const position = positions[number - 1]
  const isPair = position !== undefined && samePiece(instrument, position).length > 1
  const what = isPair ? 'wire' : 'string'
  const add = (after: number) => act(setUpCalls.addString(slug), { after }, `A ${what} is added to ${name}.`)
  const pair = () =>
    act(
      callsByHand.pairStrings(slug),
      { string: number, asOne: !isPair },
      isPair ? 'They are two wires now.' : `Strings ${number} and ${number + 1} are one wire now.`,
    )
  return (
    <section className="sheet p-4 md:p-5" aria-label="Add or take away strings">
      <h2 className="text-lg font-semibold">Add or take away strings</h2>
      <p className="text-sm text-soft">
        A new {what} has its neighbours’ hardware, and a length and note that follow theirs. The others are
        numbered anew.
      </p>
      {isTyped ? (
        <p className="mt-3 font-semibold text-ochre">Keep what you typed, or put it back, first.</p>
      ) : (
        <div className="mt-3 flex flex-wrap items-end gap-3">
          <label className="min-w-56">
            <span className="block font-semibold">String</span>
            <select
              className="entry mt-1"
              value={number}
              onChange={(event) => setChosen(Number(event.target.value))}
            >
              {positions.map((p) => (
                <option key={p.number} value={p.number}>
                  {p.number}, {leadingNames(p).name}
                </option>
              ))}
            </select>
          </label>
          <button type="button" className="button" onClick={() => add(number)}>
            Add one after it
          </button>
          {number === 1 && (
            <button type="button" className="button" onClick={() => add(0)}>
              Add one before it
            </button>
          )}
          <button
            type="button"
            className="button"
            onClick={() =>
              act(
                setUpCalls.removeString(slug),
                { string: number },
                `String ${number} of ${name} is taken away.`,
              )
            }
          >
            Take it away
          </button>
          {(isPair || number < positions.length) && (
            <button type="button" className="button" onClick={pair}>
              {isPair ? 'Make it two wires' : `Pair with string ${number + 1}`}
            </button>
          )}
        </div>
      )}
      {refused && (
        <p role="alert" className="mt-3 font-semibold text-ochre">
          {refused.sentence}
        </p>
      )}
      <button type="button" className="button mt-3" onClick={onClose}>
        Close
      </button>
    </section>
  )
}
