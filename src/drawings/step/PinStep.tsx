'use client'

import type { StringFigures } from '@/core/fitting/figures'
import { turnerOf } from '@/core/fitting/hands'
import { measure } from '@/core/measure'
import { surfaceMaterial } from '@/core/strings/construction'
import { holeHeight, type PinSetting } from '@/core/winding/pin'
import { measureText } from '@/ui/format/measure'
import { useWorkshop } from '@/ui/units'
import { ThreadFromSide } from './ThreadFromSide'
import { Arrow, arrowHead, Dimension, INK, PART, Sheet, STRING, WIDTH, WOOD } from './sheet'

interface PinStepProps {
  readonly figures: StringFigures
  readonly mode: 'set' | 'turn' | 'stub'
  /** How much higher the pin has to stand now, m; null for a plain pin. */
  readonly higher?: number | null
  /** Of the key, as the step says them; those of all wraps where it says none. */
  readonly turns?: number | null
  readonly hand: 'right' | 'left'
}

/** The pin seen from the end the key goes on: how its hole stands, which way it turns, where the stub points. A threaded one is drawn from the side with its height. */
export function PinStep({ figures, mode, higher = null, turns = null, hand }: PinStepProps) {
  if (mode === 'set' && higher !== null) return <Threaded figures={figures} higher={higher} />
  if (mode === 'set' && figures.position.head.pin.setting === 'across a scroll')
    return <ThreadFromSide figures={figures} flush={false} />
  return <FromKey figures={figures} mode={mode} turns={turns} hand={hand} />
}

/** What the string runs to from its pin. */
const TO = { 'through the neck': 'bridge pin', upright: 'bridge', 'across a scroll': 'nut' } as const

const CENTRE = [WIDTH / 2, 116] as const
const RADIUS = 44
const ARROW = 64

/** How the end is left: of a wire it is cut close, and its sharp bit bent out of the way. */
function stubWords(setting: PinSetting, isWire: boolean): string {
  if (isWire) return setting === 'upright' ? 'cut close, bent down and in' : 'cut close, bent in'
  return setting === 'through the neck' ? 'a short stub, in toward the neck' : 'a short stub, bent in'
}

function FromKey({ figures, mode, turns, hand }: Omit<PinStepProps, 'higher'>) {
  const { units } = useWorkshop()
  const { pin } = figures.position.head
  const [x, y] = CENTRE
  // From the key's end a harp's string lies on the far side of the neck.
  const far = pin.setting === 'through the neck'
  const sign = pin.tightens === 'clockwise' ? 1 : -1
  const leaves = x - sign * RADIUS
  const thick = Math.max(3, (figures.gauge / pin.diameter) * 2 * RADIUS)
  const spot = (degrees: number, r: number): [number, number] => [
    x + r * Math.sin((degrees * Math.PI) / 180) * sign,
    y - r * Math.cos((degrees * Math.PI) / 180),
  ]
  const [ax, ay] = spot(130, ARROW)
  const isWire = surfaceMaterial(figures.position.construction).wire
  const { name, seenFrom } = turnerOf(pin)
  const tool = name.replace('the ', '')
  const turnsText = `${measureText(measure('turns', turns ?? figures.wraps * pin.gearRatio), units)} of ${name}`
  return (
    <Sheet
      title={`The pin, ${seenFrom}: it tightens ${pin.tightens}`}
      note={`${seenFrom}${far ? '; the string, drawn pale, is on the far side of the neck' : ''}`}
    >
      <rect x={20} y={18} width={280} height={188} {...WOOD} opacity={far ? 0.75 : 0.35} />
      {mode === 'set' ? (
        <path
          d={`M${x},${y + RADIUS}V236`}
          {...STRING}
          strokeLinecap="butt"
          strokeWidth={thick}
          opacity={far ? 0.55 : 1}
        />
      ) : (
        <path
          d={`M${leaves},236V${y}A${RADIUS},${RADIUS} 0 0 ${sign > 0 ? 1 : 0} ${x},${y - RADIUS}`}
          {...STRING}
          strokeLinecap="butt"
          strokeWidth={thick}
          opacity={far ? 0.55 : 1}
        />
      )}
      <circle cx={x} cy={y} r={RADIUS - thick / 2} {...PART} />
      <path
        d={`M${x - 5},${y - RADIUS + thick}V${y + RADIUS - thick}M${x + 5},${y - RADIUS + thick}V${y + RADIUS - thick}`}
        {...INK}
        strokeDasharray="4 3"
      />
      <rect x={x - 13} y={y - 13} width={26} height={26} {...INK} strokeWidth={2} />
      {mode === 'turn' && (
        <g>
          <Arrow
            turns
            d={`M${spot(-20, ARROW).join(',')}A${ARROW},${ARROW} 0 0 ${sign > 0 ? 1 : 0} ${ax},${ay}${arrowHead([ax, ay], sign > 0 ? 130 : 50, 12)}`}
          />
          <text x={x} y={34} textAnchor="middle" fontWeight={600} fill="var(--ink)">
            {pin.tightens}: {turnsText}
          </text>
          {pin.gearRatio !== 1 && (
            <text
              x={hand === 'right' ? 288 : 32}
              y={182}
              textAnchor={hand === 'right' ? 'end' : 'start'}
              fill="var(--ink)"
            >
              {pin.gearRatio} of {name}, 1 of the pin
            </text>
          )}
          <text
            x={hand === 'right' ? 288 : 32}
            y={198}
            textAnchor={hand === 'right' ? 'end' : 'start'}
            fill="var(--soft)"
          >
            {tool} in the {hand} hand
          </text>
        </g>
      )}
      {mode === 'set' && (
        <text x={x} y={42} textAnchor="middle" fontWeight={600} fill="var(--ink)">
          hole in line with the string
        </text>
      )}
      {mode === 'stub' && (
        <g>
          <path
            d={`M${x},${y - RADIUS + 6}V${y - RADIUS - 12}l${-sign * 26},8`}
            {...STRING}
            strokeWidth={thick}
          />
          <text x={x} y={36} textAnchor="middle" fontWeight={600} fill="var(--ink)">
            {stubWords(pin.setting, isWire)}
          </text>
        </g>
      )}
      <text x={leaves + (mode === 'set' ? sign * RADIUS : 0) + thick / 2 + 7} y={228} fill="var(--soft)">
        to the {TO[pin.setting]}
      </text>
    </Sheet>
  )
}

/** A threaded pin beside one in playing state: how much further out it stands before winding. */
function Threaded({ figures, higher }: { figures: StringFigures; higher: number }) {
  const { units } = useWorkshop()
  const { pin } = figures.position.head
  const hole = holeHeight(pin) * 1000
  const end = hole + pin.holeToEnd * 1000
  const scale = 150 / (end + higher * 1000 + 4)
  const wood = 206
  const half = (pin.diameter * 1000 * scale) / 2
  const shaft = (x: number, raise: number) => {
    const top = wood - (end + raise) * scale
    return (
      <g>
        <path d={`M${x - half},${wood + 24}V${top}H${x + half}V${wood + 24}`} {...PART} />
        {Array.from({ length: 6 }, (_, i) => (
          <path
            key={i}
            d={`M${x - half},${wood + 20 - i * 6}L${x + half},${wood + 16 - i * 6}`}
            stroke="var(--line)"
          />
        ))}
        <circle cx={x} cy={wood - (hole + raise) * scale} r={Math.max(3, half * 0.28)} fill="var(--ink)" />
      </g>
    )
  }
  const now = wood - (end + higher * 1000) * scale
  const playing = wood - end * scale
  return (
    <Sheet
      title={`The pin stands ${measureText(measure('width', higher), units)} higher than its neighbours`}
      note={`to scale, ${scale.toFixed(0)} : 1`}
    >
      <rect x={14} y={wood} width={292} height={30} {...WOOD} />
      {shaft(96, 0)}
      {shaft(196, higher * 1000)}
      <path d={`M96,${playing}H236`} stroke="var(--soft)" strokeDasharray="4 3" />
      <path d={`M196,${now}H236`} stroke="var(--soft)" />
      <Dimension from={[236, now]} to={[236, playing]} text={measureText(measure('width', higher), units)} />
      <text x={96} y={playing - 10} textAnchor="middle" fill="var(--soft)">
        a neighbour, playing
      </text>
      <text x={196} y={now - 10} textAnchor="middle" fontWeight={600} fill="var(--ink)">
        this pin, before winding
      </text>
    </Sheet>
  )
}
