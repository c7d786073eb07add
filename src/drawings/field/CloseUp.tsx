'use client'

import { memo } from 'react'
import { gaugeOf, type Instrument, type StringPosition } from '@/core/instrument/instrument'
import { numberName } from '@/core/instrument/names'
import { harpOctaveOf, ordinal } from '@/core/pitch/harp-octave'
import { StringBody } from './StringBody'
import { useLeadingNames } from '@/ui/use-leading-names'

const SHOWN = 9
const WIDTH = 360
const STEP = WIDTH / SHOWN
const HEIGHT = 212

interface CloseUpProps {
  readonly instrument: Instrument
  readonly selected: number
  readonly broken: readonly number[]
  readonly onPick: (number: number) => void
}

/** The picked string among its neighbours, close enough to tell the materials; longer strings to the left. */
export const CloseUp = memo(function CloseUp({ instrument, selected, broken, onPick }: CloseUpProps) {
  const leadingNames = useLeadingNames()
  const { positions } = instrument
  const first = Math.min(Math.max(1, selected - (SHOWN - 1) / 2), Math.max(1, positions.length - SHOWN + 1))
  const shown = positions.slice(first - 1, first - 1 + SHOWN).reverse()
  return (
    <div
      role="group"
      aria-label="Close-up of the neighbouring strings"
      className="relative mx-auto w-full max-w-[27rem]"
    >
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="block w-full" aria-hidden>
        {shown.map((p, i) => {
          const x = STEP * (i + 0.5)
          return (
            <g key={p.number}>
              {p.number === selected && (
                <rect
                  x={x - STEP / 2 + 1}
                  y={0}
                  width={STEP - 2}
                  height={HEIGHT}
                  fill="var(--verdigris-wash)"
                  stroke="var(--verdigris)"
                  strokeWidth={1.5}
                />
              )}
              {broken.includes(p.number) ? (
                <Gap x={x} weight={weightOf(p)} />
              ) : (
                <StringBody
                  construction={p.construction}
                  colour={p.colour}
                  x={x}
                  from={0}
                  to={HEIGHT - 42}
                  width={weightOf(p)}
                />
              )}
              <text
                x={x}
                y={HEIGHT - 22}
                textAnchor="middle"
                fontSize={17}
                fontWeight={650}
                fill={
                  p.colour === 'red'
                    ? 'var(--string-c)'
                    : p.colour === 'natural'
                      ? 'var(--ink)'
                      : 'var(--string-f)'
                }
              >
                {p.note.letter}
              </text>
              <text x={x} y={HEIGHT - 7} textAnchor="middle" fontSize={10.5} fill="var(--soft)">
                {p.called.by === 'harp octave' ? ordinal(harpOctaveOf(p.note)) : p.called.number}
              </text>
            </g>
          )
        })}
      </svg>
      <div className="absolute inset-0 flex">
        {shown.map((p) => (
          <button
            key={p.number}
            type="button"
            tabIndex={-1}
            className="h-full flex-1"
            aria-label={`Pick ${numberName(p)}, ${leadingNames(p).name}`}
            aria-pressed={p.number === selected}
            onClick={() => onPick(p.number)}
          />
        ))}
      </div>
    </div>
  )
})

/** Gauge, all strings widened alike. */
function weightOf(p: StringPosition): number {
  return Math.max(1.6, gaugeOf(p) * 1000 * 8)
}

function Gap({ x, weight }: { x: number; weight: number }) {
  const w = Math.max(2, weight * 0.7)
  return (
    <g fill="none" stroke="var(--ochre)" strokeWidth={w} strokeLinecap="round">
      <path d={`M${x},0 q0,18 6,30`} />
      <path d={`M${x},${HEIGHT - 42} q0,-14 -7,-24`} />
    </g>
  )
}
