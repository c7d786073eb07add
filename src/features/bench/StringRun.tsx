'use client'

interface StringRunProps {
  /** m */
  readonly free: number
  readonly speaking: number
  readonly slackLeft: number
  /** N */
  readonly tension: number
  readonly atPitch: number
  readonly broken: boolean
}

const WIDTH = 400
const HEIGHT = 150
const LEFT = 34
const RIGHT = 30
const LINE = 62
/** A polyline of so many pieces bows smoothly. */
const PIECES = 32

/** The string from its knot to its pin, to scale along it: it bows while there is slack, and is drawn the heavier the harder it pulls. */
export function StringRun({ free, speaking, slackLeft, tension, atPitch, broken }: StringRunProps) {
  const length = WIDTH - LEFT - RIGHT
  const bridge = LEFT + length * Math.min(0.97, speaking / free)
  // A shallow bow of length L + s sags by about √(3 L s / 8) in the middle.
  const sag = Math.min(64, (Math.sqrt((3 * free * slackLeft) / 8) / free) * length)
  const bow = Array.from({ length: PIECES + 1 }, (_, i) => {
    const t = i / PIECES
    return `${(LEFT + length * t).toFixed(1)},${(LINE + 4 * sag * t * (1 - t)).toFixed(1)}`
  }).join('L')
  const share = Math.min(1, tension / atPitch)
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full" role="img" aria-label={broken ? 'The string has broken' : slackLeft > 0 ? 'The string hangs slack' : 'The string is tight'}>
      <rect x={LEFT - 14} y={LINE - 34} width={12} height={68} fill="var(--wood)" stroke="var(--wood-line)" />
      <circle cx={WIDTH - RIGHT} cy={LINE} r={8} fill="var(--paper)" stroke="var(--ink)" strokeWidth={1.6} />
      <circle cx={bridge} cy={LINE + 6} r={4} fill="var(--paper)" stroke="var(--ink)" strokeWidth={1.2} />
      {broken
        ? <path d={`M${LEFT},${LINE}q40,-6 74,10m10,14q-14,-2 -10,-14M${WIDTH - RIGHT},${LINE}q-50,8 -86,-8m-8,-16q12,2 8,16`} fill="none" stroke="var(--ochre)" strokeWidth={2.4} strokeLinecap="round" />
        : <path d={`M${bow}`} fill="none" stroke="var(--verdigris)" strokeWidth={1.6 + 1.8 * share} strokeLinecap="round" />}
      <g fontSize={11} fill="var(--soft)" textAnchor="middle">
        <text x={LEFT + 4} y={LINE + 52} textAnchor="start">board</text>
        <text x={bridge} y={LINE - 12}>bridge pin</text>
        <text x={WIDTH - RIGHT} y={LINE + 26}>pin</text>
      </g>
    </svg>
  )
}
