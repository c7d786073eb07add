'use client'

import { useState } from 'react'
import { typedNumber } from '@/core/units/typed-number'
import { Decimal } from '@/ui/form/Decimal'
import { degreesText } from './words'

export type SimulatorState = 'taut' | 'slack' | 'broken'

interface SimulatorPanelProps {
  readonly is: SimulatorState
  /** What is told to turn now, degrees; null where nothing is heard. */
  readonly told: number | null
  readonly onTurn: (degrees: number) => void
  readonly onPluck: () => void
  /** Lets so many hours pass, h; null while it is not yet up. */
  readonly onWait: ((hours: number) => void) | null
  readonly onNew: () => void
}

/** A string and a key that are not there: to try the dial, and to practise. */
export function SimulatorPanel({ is, told, onTurn, onPluck, onWait, onNew }: SimulatorPanelProps) {
  const [degrees, setDegrees] = useState('10')
  const by = typedNumber(degrees)
  return (
    <section aria-label="The stand-in" className="mt-4 border-t border-rule pt-3">
      <h2 className="font-semibold">
        A stand-in <span className="font-text text-sm font-normal text-soft">a string that is not there</span>
      </h2>
      {is === 'slack' && <p className="mt-2 font-semibold">It is slack, and only flaps. Turn it further.</p>}
      {is === 'broken' ? (
        <>
          <p role="alert" className="mt-2 font-semibold text-ochre">
            It broke: it was turned beyond its strength.
          </p>
          <button type="button" className="button mt-2 w-full" onClick={onNew}>
            Put on another
          </button>
        </>
      ) : (
        <>
          <button type="button" className="button mt-2 w-full" onClick={onPluck}>
            Pluck it
          </button>
          {told !== null && (
            <button type="button" className="button mt-2 w-full" onClick={() => onTurn(told)}>
              Turn the key by {told < 0 ? '−' : ''}
              {degreesText(told)}, and pluck
            </button>
          )}
          {onWait && (
            <p className="mt-2 grid grid-cols-2 gap-2">
              <button type="button" className="button" onClick={() => onWait(1)}>
                An hour later
              </button>
              <button type="button" className="button" onClick={() => onWait(24)}>
                A day later
              </button>
            </p>
          )}
          <form
            className="mt-2 flex items-end gap-2"
            onSubmit={(event) => {
              event.preventDefault()
              if (by !== null && Math.abs(by) <= 3600) onTurn(by)
            }}
          >
            <Decimal label="Degrees" value={degrees} onChange={setDegrees} />
            <button type="submit" className="button">
              Turn and pluck
            </button>
          </form>
        </>
      )}
    </section>
  )
}
