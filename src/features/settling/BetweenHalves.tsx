'use client'

import { useId, useState } from 'react'
import type { Known } from '@/core/settle/band'
import { betweenHalves, type IntervalWay } from '@/core/settle/between-halves'
import type { Stretching } from '@/core/settle/stretching'
import { typedNumber } from '@/core/units/typed-number'
import { Decimal } from '@/ui/form/Decimal'
import { oddsText } from './odds-text'

interface BetweenHalvesProps {
  readonly known: Known
  /** Of the string now, h. */
  readonly age: number
  readonly holdsWithin: number
}

/** Longer intervals and halves than these are none, min. */
const LONGEST = { left: 120, half: 240 } as const

const WAY_WORDS: Record<Stretching, string> = {
  'leave it alone': 'leave it alone',
  'gentle pulls': 'pull it gently along its length',
  'bending aside': 'bend it aside',
  'rubbing warm': 'rub it warm',
  'big sideways motions': 'big motions aside, some ten times as far as in playing',
}

/** A string that was put on at an interval: what to do with the minutes, and when to touch it up in the second half. */
export function BetweenHalves({ known, age, holdsWithin }: BetweenHalvesProps) {
  const [left, setLeft] = useState('8')
  const [half, setHalf] = useState('45')
  const id = useId()
  const [minutes, lasts] = [within(left, LONGEST.left), within(half, LONGEST.half)]
  const ways = minutes === null || !lasts ? [] : betweenHalves(known, age, minutes, lasts, holdsWithin)
  return (
    <section className="mt-4 border-t border-rule pt-3" aria-labelledby={`${id}-h`}>
      <h2 id={`${id}-h`} className="text-xl font-semibold">
        Between the halves
      </h2>
      <p className="text-sm text-soft">
        A string that was put on at the interval: what the minutes that are left can do for it, and how it
        stands through the second half within {holdsWithin} cents.
      </p>
      <div className="mt-2 flex flex-wrap gap-4">
        <Decimal label="Minutes left" value={left} onChange={setLeft} />
        <Decimal label="Second half, minutes" value={half} onChange={setHalf} />
      </div>
      {ways.length === 0 ? (
        <p role="alert" className="mt-2 font-semibold text-ochre">
          Say how many minutes are left, up to {LONGEST.left}, and how long the second half lasts, up to{' '}
          {LONGEST.half}.
        </p>
      ) : (
        <div
          className="mt-2 overflow-x-auto"
          tabIndex={0}
          role="group"
          aria-label="Ways to spend the interval"
        >
          <table className="w-full min-w-[34rem] text-left">
            <thead>
              <tr className="text-sm text-soft">
                <th className="py-1 pr-3 font-normal">Until then</th>
                <th className="py-1 pr-3 text-right font-normal">falls by</th>
                <th className="py-1 pr-3 text-right font-normal">begin it at</th>
                <th className="py-1 pr-3 font-normal">touch it up</th>
                <th className="py-1 text-right font-normal">holds untouched</th>
              </tr>
            </thead>
            <tbody className="ruled">
              {ways.map((way) => (
                <tr key={way.way}>
                  <td className="py-2 pr-3">
                    <span className="block font-semibold first-letter:uppercase">{WAY_WORDS[way.way]}</span>
                    <span className="block text-sm text-soft">{costOf(way)}</span>
                  </td>
                  <td className="plate-figure py-2 pr-3 text-right text-lg">{way.falls.toFixed(1)}</td>
                  <td className="plate-figure py-2 pr-3 text-right text-lg">+{way.sharp.toFixed(1)}</td>
                  <td className="py-2 pr-3">{touchUpWords(way)}</td>
                  <td className="py-2 text-right font-semibold">{oddsText(way.chance)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      <p className="mt-2 text-sm text-soft">
        Cents; what a cycle is worth is an estimate. Bring it back to pitch after every cycle, and touch it up
        in a rest near the minutes told.
      </p>
    </section>
  )
}

/** Minutes as they are typed; null where they can't be. */
function within(text: string, most: number): number | null {
  const minutes = typedNumber(text)
  return minutes !== null && minutes >= 0 && minutes <= most ? minutes : null
}

function costOf({ way, cycles, takes }: IntervalWay): string {
  const times = cycles === 1 ? 'once' : `${cycles} times`
  switch (way) {
    case 'leave it alone':
      return 'costs nothing; it settles on as it does by itself'
    case 'big sideways motions':
      return `${times}, ${takes.toFixed(0)} min; costs it life: for a night like this, not as a habit`
    default:
      return `${times}, ${takes.toFixed(0)} min; costs it a little life`
  }
}

function touchUpWords({ touchUps }: IntervalWay): string {
  if (touchUps.length === 0) return 'not needed'
  const minutes = touchUps.map((at) => Math.max(1, Math.round(at)))
  return `after ${minutes.join(', ')} min`
}
