import type { Clue } from '@/core/identify/clue'
import type { Construction } from '@/core/strings/construction'
import { StringBody } from '@/drawings/field/StringBody'

const LOOKS: Readonly<Record<string, Construction>> = {
  grain: { kind: 'plain', material: 'gut', gauge: 1e-3 },
  glassy: { kind: 'plain', material: 'nylon 6.12', gauge: 1e-3 },
  'grey-tinged': { kind: 'plain', material: 'fluorocarbon', gauge: 1e-3 },
  metallic: { kind: 'plain', material: 'steel', gauge: 1e-3 },
  ribbed: {
    kind: 'wound',
    core: { material: 'steel', diameter: 5e-4 },
    bedding: null,
    wrap: { material: 'copper', diameter: 3e-4 },
  },
}

const BENDS: Readonly<Record<string, string>> = {
  'springs back': 'M4,22Q32,12 60,22',
  'holds a crease': 'M6,8Q26,22 32,24Q38,22 58,8',
  'holds a kink': 'M8,4L32,26L56,4',
}

const NAILS: Readonly<Record<string, string>> = {
  slick: 'M4,16H60',
  'faintly rough': 'M4,16l4,-2 4,3 4,-3 4,3 4,-2 4,2 4,-3 4,3 4,-2 4,2 4,-3 4,3 8,-1',
  rasps: 'M4,20l4,-9 4,9 4,-9 4,9 4,-9 4,9 4,-9 4,9 4,-9 4,9 4,-9 4,9 4,-9 4,9',
  hard: 'M4,13H60M4,19H60',
}

/** What one answer of the examination looks like, drawn small. */
export function ExamPicture({ clue }: { clue: Clue }) {
  const drawn = drawing(clue)
  return (
    drawn && (
      <svg viewBox="0 0 64 32" className="h-8 w-16 shrink-0" aria-hidden>
        {drawn}
      </svg>
    )
  )
}

function drawing(clue: Clue) {
  switch (clue.kind) {
    case 'look': {
      const construction = LOOKS[clue.seen]
      return construction ? (
        <g transform="rotate(-90 32 16)">
          <StringBody construction={construction} colour="natural" x={32} from={-12} to={44} width={13} />
        </g>
      ) : (
        <rect x={4} y={9.5} width={56} height={13} fill="var(--string-f)" />
      )
    }
    case 'bend':
      return (
        <>
          <path
            d={BENDS[clue.seen]}
            fill="none"
            stroke="var(--ink)"
            strokeWidth={3}
            strokeLinecap="round"
            strokeLinejoin="round"
          />
          {clue.seen === 'holds a crease' && (
            <circle cx={32} cy={24} r={3} fill="var(--paper)" stroke="var(--ink)" strokeWidth={1} />
          )}
        </>
      )
    case 'nail':
      return (
        <path d={NAILS[clue.seen]} fill="none" stroke="var(--ink)" strokeWidth={2} strokeLinejoin="round" />
      )
    case 'colour':
      return (
        <rect
          x={28}
          y={2}
          width={8}
          height={28}
          fill={
            clue.seen === 'red'
              ? 'var(--string-c)'
              : clue.seen === 'dark'
                ? 'var(--string-f)'
                : 'var(--gut-light)'
          }
          stroke="var(--line)"
        />
      )
    case 'thickness':
      return (
        <line
          x1={4}
          x2={60}
          y1={16}
          y2={16}
          stroke="var(--ink)"
          strokeWidth={{ thin: 1.4, middling: 4, thick: 9 }[clue.seen]}
        />
      )
    default:
      return null
  }
}
