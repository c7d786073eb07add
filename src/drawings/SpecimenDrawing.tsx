'use client'

import type { Bend } from '@/core/identify/clue'
import type { Specimen } from '@/core/practice/question'
import { textureOf } from './field/texture'

interface SpecimenDrawingProps {
  readonly specimen: Specimen
  /** Whether it was bent and let go. */
  readonly isBent: boolean
  readonly className?: string
}

/** A piece of string laid on the bench, many times its size: as it looks, and as it lies once it was bent and let go. */
export function SpecimenDrawing({ specimen, isBent, className }: SpecimenDrawingProps) {
  const { bend, look } = specimen
  const way = isBent ? LIES[bend] : STRAIGHT
  return (
    <svg
      viewBox="0 0 360 200"
      className={className}
      role="img"
      aria-label={`A piece of string: ${LOOK_WORDS[look]}${isBent ? `; bent and let go it ${bend}` : ''}.`}
    >
      <path d="M0,10H360V190H0Z" fill="var(--wood)" />
      <path d={GRAIN} fill="none" stroke="var(--wood-line)" strokeWidth={0.8} opacity={0.45} />
      <Piece way={way} specimen={specimen} />
      {isBent && bend === 'holds a crease' && (
        <path d="M176,60l8,26" stroke="var(--paper)" strokeWidth={4} strokeLinecap="round" />
      )}
    </svg>
  )
}

const LOOK_WORDS: Readonly<Record<Specimen['look'], string>> = {
  grain: 'fine twisted lines run along it',
  glassy: 'it is glassy, without any grain',
  'grey-tinged': 'it is glassy with a grey tinge',
  metallic: 'it shines like metal',
  ribbed: 'it is ribbed, with windings side by side',
  'hidden by dye': 'it is dyed, and its look is hidden',
}

/** The bench under it. */
const GRAIN = [32, 58, 81, 121, 144, 170]
  .map((y, i) => `M0,${y}C110,${y + (i % 2 ? 7 : -5)} 250,${y + (i % 2 ? -6 : 6)} 360,${y + 2}`)
  .join('')

const STRAIGHT = 'M20,110C120,98 240,98 340,110'
/** How it lies when it was bent in the middle and let go. */
const LIES: Readonly<Record<Bend, string>> = {
  'springs back': 'M20,108C120,92 240,92 340,108',
  'holds a crease': 'M20,118C90,112 140,96 180,70C220,96 270,112 340,118',
  'holds a kink':
    'M20,122C80,120 128,118 150,110C168,102 166,66 180,66C194,66 192,102 210,110C232,118 280,120 340,122',
}

function Piece({ way, specimen: { construction, colour, look } }: { way: string; specimen: Specimen }) {
  const { surface, tint, light } = textureOf(construction)
  const dyed = colour === 'natural' ? null : DYES[colour]
  const hidden = look === 'hidden by dye'
  const [body, line] = hidden && dyed ? [dyed, dyed] : [`var(--${light})`, `var(--${tint})`]
  return (
    <g fill="none" strokeLinejoin="round">
      <path d={way} stroke="var(--ink)" strokeWidth={26} strokeLinecap="butt" />
      <path d={way} stroke={body} strokeWidth={22} />
      {!hidden && surface === 'twisted' && (
        <path d={way} stroke={line} strokeWidth={20} strokeDasharray="1.4 7" opacity={0.9} />
      )}
      {!hidden && surface === 'ribbed' && (
        <path d={way} stroke="var(--ink)" strokeWidth={24} strokeDasharray="1.2 4.2" opacity={0.75} />
      )}
      {!hidden && surface === 'bright' && (
        <path d={way} stroke="var(--paper)" strokeWidth={5} opacity={0.9} />
      )}
      {!hidden && dyed && <WornDye way={way} dye={dyed} />}
      {!hidden && surface === 'clear' && (
        <>
          <path d={way} stroke={line} strokeWidth={2} opacity={0.5} />
          <path d={way} stroke="var(--paper)" strokeWidth={2.5} opacity={0.85} strokeDasharray="60 22" />
        </>
      )}
    </g>
  )
}

/** Dye that is worn where the string is plucked: it stands at both ends, and in the middle the string shows. */
function WornDye({ way, dye }: { way: string; dye: string }) {
  return (
    <>
      <path d={way} stroke={dye} strokeWidth={22} pathLength={100} strokeDasharray="30 40 30" />
      <path
        d={way}
        stroke={dye}
        strokeWidth={22}
        pathLength={100}
        strokeDasharray="0 30 5 30 5 30"
        opacity={0.5}
      />
    </>
  )
}

const DYES = { red: 'var(--string-c)', black: 'var(--string-f)', blue: 'var(--string-f)' } as const
