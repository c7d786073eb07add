'use client'

import type { FittingContext } from '@/core/fitting/context'
import { Sheet, WOOD } from './sheet'

const BOX = { x: 16, y: 10, width: 190, height: 206 } as const

/** An instrument so many times longer than it is wide is drawn lying across the sheet. */
const NARROW = 2.4

/** How the instrument lies while it is strung, with this string picked out; beside it what must be out of the way, or the order in which what covers it comes off. */
export function LiesStep({
  context: { instrument, position, above },
  mode,
}: {
  context: FittingContext
  mode: 'ready' | 'off'
}) {
  const onSide = /\bside\b/.test(instrument.lies)
  const upright = /\bupright\b/.test(instrument.lies)
  const stays = upright ? 'stands' : 'lies'
  const across =
    Math.max(...instrument.positions.map((p) => p.at.pin.x)) -
    Math.min(...instrument.positions.map((p) => p.at.pin.x))
  const narrow = across * NARROW < Math.max(...instrument.positions.map((p) => p.at.pin.y))
  // On its side a harp's column lies along the table; a long narrow zither is seen from the side its player sits at.
  const way = instrument.strung === 'as usual' ? 1 : -1
  const turned = (p: { x: number; y: number }) =>
    onSide || narrow ? { x: p.y, y: p.x * way } : { x: p.x * way, y: -p.y }
  const ends = instrument.positions.map((p) => ({
    number: p.number,
    a: turned(p.at.tail),
    b: turned(p.at.pin),
  }))
  const xs = ends.flatMap(({ a, b }) => [a.x, b.x])
  const ys = ends.flatMap(({ a, b }) => [a.y, b.y])
  const [left, top] = [Math.min(...xs), Math.min(...ys)]
  const scale = Math.min(
    BOX.width / (Math.max(...xs) - left || 1),
    (BOX.height - 20) / (Math.max(...ys) - top || 1),
  )
  const down = BOX.y + Math.max(8, (BOX.height - (Math.max(...ys) - top) * scale) / 2 - 8)
  const at = ({ x, y }: { x: number; y: number }) =>
    `${(BOX.x + (x - left) * scale).toFixed(1)},${(down + (y - top) * scale).toFixed(1)}`
  const order = above.map((p) => p.number)
  const calledOf = (number: number) => instrument.positions[number - 1]?.called.number ?? number
  const rail = (end: 'a' | 'b') => `M${ends.map((e) => at(e[end])).join('L')}`
  const ground = down + 10 + (Math.max(...ys) - top) * scale
  return (
    <Sheet
      title={`${instrument.name} ${stays} ${instrument.lies}; string ${position.called.number} is picked out`}
      note={`it ${stays} ${instrument.lies}`}
    >
      <path
        d={`${rail('a')}`}
        fill="none"
        stroke="var(--wood-line)"
        strokeWidth={6}
        strokeLinejoin="round"
        strokeLinecap="round"
      />
      <path
        d={`${rail('b')}`}
        fill="none"
        stroke="var(--wood-line)"
        strokeWidth={6}
        strokeLinejoin="round"
        strokeLinecap="round"
      />
      {ends.map(({ number, a, b }) => (
        <path
          key={number}
          d={`M${at(a)}L${at(b)}`}
          stroke={
            number === position.number
              ? 'var(--verdigris)'
              : order.includes(number)
                ? 'var(--ochre)'
                : 'var(--line)'
          }
          strokeWidth={number === position.number ? 4 : order.includes(number) ? 3 : 1}
          strokeDasharray={mode === 'off' && number === position.number ? '8 5' : undefined}
          strokeLinecap="round"
        />
      ))}
      {mode === 'ready' && (
        <path
          d={`M10,${ground}H${BOX.x + BOX.width + 12}`}
          stroke="var(--ink)"
          strokeWidth={2}
          strokeDasharray={upright || onSide ? undefined : '3 3'}
        />
      )}
      {mode === 'off' &&
        order.map((number, i) => {
          const e = ends.find((one) => one.number === number)
          if (!e) return null
          const [x, y] = at({ x: (e.a.x + e.b.x) / 2, y: (e.a.y + e.b.y) / 2 })
            .split(',')
            .map(Number) as [number, number]
          return (
            <g key={number}>
              <circle cx={x - 22 + i * 22} cy={y} r={9} fill="var(--ochre)" />
              <text
                x={x - 22 + i * 22}
                y={y}
                fontSize={11}
                fontWeight={700}
                fill="var(--paper)"
                textAnchor="middle"
                dominantBaseline="central"
              >
                {i + 1}
              </text>
            </g>
          )
        })}
      <g transform={`translate(222 ${Math.max(40, down)})`}>
        {mode === 'off' &&
          order.length > 0 &&
          order.map((number, i) => (
            <text key={number} x={0} y={i * 20} fill="var(--ink)">
              {i + 1}. string {calledOf(number)}
            </text>
          ))}
        {mode === 'off' && (
          <text x={0} y={order.length * 20 + 8} fill="var(--verdigris)" fontWeight={600}>
            string {position.called.number}
          </text>
        )}
        {mode === 'ready' && position.mechanism === 'disc' && <Pedals />}
        {mode === 'ready' && position.mechanism === 'lever' && <Lever />}
        {mode === 'ready' && position.mechanism === null && (
          <text x={0} y={8} fill="var(--verdigris)" fontWeight={600}>
            string {position.called.number}
          </text>
        )}
      </g>
    </Sheet>
  )
}

/** Seven pedals, each in its top notch. */
function Pedals() {
  return (
    <g>
      {Array.from({ length: 7 }, (_, i) => (
        <g key={i} transform={`translate(${i * 12 + (i > 2 ? 6 : 0)} 0)`}>
          <path d="M0,8h8v12h-5v10h5v12h-8z" {...WOOD} />
          <rect x={-1} y={2} width={9} height={9} fill="var(--verdigris)" />
        </g>
      ))}
      <text x={0} y={66} fill="var(--ink)">
        all seven up:
      </text>
      <text x={0} y={82} fontWeight={600} fill="var(--ink)">
        in flat
      </text>
    </g>
  )
}

/** One lever out of the way of its string. */
function Lever() {
  return (
    <g>
      <path d="M40,0V90" stroke="var(--verdigris)" strokeWidth={3} />
      <rect x={2} y={30} width={26} height={14} {...WOOD} />
      <path d="M16,36L4,8" stroke="var(--ink)" strokeWidth={5} strokeLinecap="round" />
      <text x={-4} y={112} fill="var(--ink)">
        off: it
      </text>
      <text x={-4} y={128} fontWeight={600} fill="var(--ink)">
        touches nothing
      </text>
    </g>
  )
}
