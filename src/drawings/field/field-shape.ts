/**
 * The shapes of a string field in millimetres of the drawing, y downward, from an instrument's geometry.
 */
import { curveMonotoneX, line } from 'd3-shape'
import type { Family } from '@/core/instrument/family'
import { gaugeOf, type Instrument, type Point } from '@/core/instrument/instrument'
import { spacingAt } from '@/core/instrument/neck'
import { isOnFoot } from '@/core/knots/fastenings'
import { itemAt } from '@/core/list/item-at'
import { requireValue } from '@/core/list/require-value'
import type { DrawnString } from './drawn-string'
import { crossPinsOf, feetOf, SCROLL, type CrossPin, type DrawnFoot } from './head-and-foot'

export interface FieldShape {
  readonly viewBox: {
    readonly x: number
    readonly y: number
    readonly width: number
    readonly height: number
  }
  readonly strings: readonly DrawnString[]
  /** Outlines of the wood, as SVG paths, back to front. */
  readonly wood: readonly string[]
  /** Lines along the bridge pins and the board. */
  readonly lines: readonly string[]
  /** How many times wider than life it is drawn, so that the strings of a long, narrow instrument can be told apart; 1 is to scale. */
  readonly across: number
  /** Feet that strings are wrapped on, and pins that lie across a scroll. */
  readonly feet: readonly DrawnFoot[]
  readonly crossPins: readonly CrossPin[]
  /** Hitch posts, where there are some. */
  readonly posts: readonly { readonly x: number; readonly y: number; readonly r: number }[]
}

const MM = 1000

/** Works out the drawing of an instrument. */
export function fieldShape(instrument: Instrument): FieldShape {
  const top = Math.max(...instrument.positions.map((p) => p.at.pin.y))
  const flip = (y: number) => (top - y) * MM
  const across = widening(instrument)
  const strings = instrument.positions.map((position): DrawnString => {
    const { tail, bridge, pin } = position.at
    const below = position.freeLength - position.speakingLength - (pin.y - bridge.y)
    return {
      // Strung the other way round, the bass stands where the treble stands elsewhere.
      position,
      x: tail.x * MM * across * (instrument.strung === 'as usual' ? 1 : -1),
      foot: isOnFoot(position) ? flip(tail.y) : flip(tail.y - below),
      tail: flip(tail.y),
      bridge: flip(bridge.y),
      pin: flip(pin.y),
      weight: Math.min(16, spacingAt(instrument, position) * MM) * (0.13 + 0.13 * gaugeOf(position) * MM),
    }
  })
  const longest = requireValue(instrument.positions.at(-1))
  const feet = feetOf(
    instrument,
    strings,
    (longest.freeLength - longest.speakingLength - longest.head.pin.toBridge) * MM,
  )
  const { wood, lines, margin } = woodOf(instrument, strings, feet)
  const xs = strings.map((s) => s.x)
  const bottom = Math.max(...strings.map((s) => s.foot), ...feet.map((f) => f.y + f.radius + 30))
  const box = {
    x: Math.min(...xs) - margin.left,
    y: -margin.top,
    right: Math.max(...xs) + margin.right,
    bottom: bottom + margin.bottom,
  }
  return {
    strings,
    wood,
    lines,
    across,
    feet,
    crossPins: crossPinsOf(strings),
    viewBox: { x: box.x, y: box.y, width: box.right - box.x, height: box.bottom - box.y },
    posts: strings.flatMap((s) =>
      s.position.tail.postDiameter === null || isOnFoot(s.position)
        ? []
        : [{ x: s.x, y: s.foot, r: (s.position.tail.postDiameter * MM) / 2 }],
    ),
  }
}

/** A drawing narrower than this share of its height is drawn wider. */
const NARROWEST = 0.2

function widening({ positions }: Instrument): number {
  const xs = positions.map((p) => p.at.tail.x)
  const height =
    Math.max(...positions.map((p) => p.at.pin.y)) - Math.min(...positions.map((p) => p.at.tail.y))
  const width = Math.max(...xs) - Math.min(...xs)
  return width <= 0 ? 1 : Math.min(6, Math.max(1, Math.ceil((NARROWEST * height) / width)))
}

const smooth = line<Point>()
  .x((p) => p.x)
  .y((p) => p.y)
  .curve(curveMonotoneX)

function along(strings: readonly DrawnString[], y: (s: DrawnString) => number): Point[] {
  return [...strings].sort((a, b) => a.x - b.x).map((s) => ({ x: s.x, y: y(s) }))
}

function reversed(path: readonly Point[]): string {
  return smooth([...path].reverse())?.replace(/^M/, 'L') ?? ''
}

/** Soundbox, column and neck of a harp, suggested from the lines of its strings' ends. */
function harpWood(strings: readonly DrawnString[]) {
  const [bass, treble] = [requireValue(strings.at(-1)), itemAt(strings, 0)]
  const reach = treble.x - bass.x
  const column = { left: bass.x - reach * 0.085, right: bass.x - reach * 0.04 }
  const below = along(strings, (s) => s.bridge + 16)
  const above = along(strings, (s) => s.pin - 22)
  const shoulder = { x: treble.x + reach * 0.1, y: treble.tail + reach * 0.05 }
  const neckStart = { x: column.left, y: itemAt(above, 0).y }
  const neck = `${smooth([neckStart, ...above, { x: shoulder.x, y: requireValue(above.at(-1)).y + 16 }])}L${shoulder.x},${shoulder.y}L${treble.x + reach * 0.02},${shoulder.y}${reversed([{ x: column.left, y: itemAt(below, 0).y + 26 }, ...below, { x: treble.x + reach * 0.02, y: requireValue(below.at(-1)).y }])}Z`
  const board = along(strings, (s) => s.tail)
  const depth = reach * 0.24
  const box = `${smooth([{ x: column.left, y: bass.tail + 30 }, ...board])}L${shoulder.x},${treble.tail}L${shoulder.x + depth * 0.3},${shoulder.y}L${bass.x + depth * 1.5},${bass.tail + 62}L${column.left},${bass.tail + 62}Z`
  const columnPath = `M${column.left},${neckStart.y + 20}L${column.right},${neckStart.y + 20}L${column.right},${bass.tail + 40}L${column.left},${bass.tail + 40}Z`
  return {
    wood: [columnPath, box, neck],
    lines: [smooth(along(strings, (s) => s.tail)) ?? '', smooth(along(strings, (s) => s.bridge)) ?? ''],
    margin: { left: reach * 0.12, right: reach * 0.18, top: 40, bottom: 60 },
  }
}

/** The two arms, the yoke and the box of a lyre. */
function lyreWood(strings: readonly DrawnString[]) {
  const [bass, treble] = [requireValue(strings.at(-1)), itemAt(strings, 0)]
  const reach = treble.x - bass.x
  const box = Math.max(...strings.map((s) => s.tail))
  const foot = Math.max(...strings.map((s) => s.foot))
  const arm = 15
  const wide = reach * 0.34
  const waist = box - (box - bass.pin) * 0.3
  const armOf = (s: DrawnString, out: -1 | 1) => {
    const at = (by: number) => s.x + out * by
    return `M${at(arm)},${s.pin}C${at(wide + arm)},${s.pin + 100} ${at(wide + arm)},${waist - 50} ${at(wide)},${waist}L${at(wide - arm)},${waist}C${at(wide - arm)},${waist - 60} ${at(wide - arm)},${s.pin + 110} ${at(1)},${s.pin}Z`
  }
  const [end, start] = [treble.x + arm + 18, bass.x - arm - 18]
  return {
    wood: [
      armOf(bass, -1),
      armOf(treble, 1),
      `M${bass.x - wide},${waist}L${treble.x + wide},${waist}C${treble.x + wide + 26},${foot} ${treble.x + wide * 0.7},${foot + 36} ${(bass.x + treble.x) / 2},${foot + 36}C${bass.x - wide * 0.7},${foot + 36} ${bass.x - wide - 26},${foot} ${bass.x - wide},${waist}Z`,
      `M${start},${bass.pin - 14}L${end},${treble.pin - 14}v38L${start},${bass.pin + 24}Z`,
    ],
    lines: [smooth(along(strings, (s) => s.tail)) ?? '', smooth(along(strings, (s) => s.foot)) ?? ''],
    margin: { left: wide + 60, right: wide + 60, top: 40, bottom: 56 },
  }
}

/** What is written beside a foot, `outermost first`, takes so much. */
const BESIDE_A_FOOT = 170

/** The long body of a zither whose strings run its whole length, waisted at its neck, over the two feet. */
function longWood(strings: readonly DrawnString[], feet: readonly DrawnFoot[]) {
  const [left, right] = [Math.min(...strings.map((s) => s.x)), Math.max(...strings.map((s) => s.x))]
  const head = Math.min(...strings.map((s) => s.pin))
  const foot = Math.max(...strings.map((s) => s.foot), ...feet.map((f) => f.y + f.radius))
  const side = (right - left) * 0.2 + 16
  const down = (share: number) => head - 30 + (foot + 44 - head + 30) * share
  const edge = (x: number, out: -1 | 1) => {
    const at = (by: number) => x + out * by
    return { top: at(side * 0.8), waist: at(side * 0.45), hip: at(side * 1.15), end: at(side) }
  }
  const [l, r] = [edge(left, -1), edge(right, 1)]
  return {
    wood: [
      `M${l.top},${down(0)}H${r.top}C${r.top},${down(0.08)} ${r.waist},${down(0.1)} ${r.waist},${down(0.18)}C${r.waist},${down(0.3)} ${r.hip},${down(0.34)} ${r.hip},${down(0.5)}C${r.hip},${down(0.8)} ${r.end},${down(0.9)} ${r.end},${down(1)}H${l.end}C${l.end},${down(0.9)} ${l.hip},${down(0.8)} ${l.hip},${down(0.5)}C${l.hip},${down(0.34)} ${l.waist},${down(0.3)} ${l.waist},${down(0.18)}C${l.waist},${down(0.1)} ${l.top},${down(0.08)} ${l.top},${down(0)}Z`,
    ],
    lines: [smooth(along(strings, (s) => s.tail)) ?? '', smooth(along(strings, (s) => s.bridge)) ?? ''],
    margin: {
      left: Math.max(side, ...feet.map((f) => left - (f.x - f.reach - BESIDE_A_FOOT))),
      right: Math.max(side, ...feet.map((f) => f.x + f.reach + BESIDE_A_FOOT - right)),
      top: 62,
      bottom: 52,
    },
  }
}

/** A body, a neck of the strings' width and the scroll above its nut, rolled at its end. */
function scrollWood(strings: readonly DrawnString[]) {
  const [left, right] = [Math.min(...strings.map((s) => s.x)), Math.max(...strings.map((s) => s.x))]
  const head = Math.min(...strings.map((s) => s.pin)) - 22
  const nut = Math.min(...strings.map((s) => s.bridge))
  const foot = Math.max(...strings.map((s) => s.foot))
  const tail = Math.max(...strings.map((s) => s.tail))
  const middle = (left + right) / 2
  const shoulder = nut + (tail - nut) * 0.5
  const wide = (right - left) * 1.6 + 40
  const [cl, cr] = [left - SCROLL, right + SCROLL]
  const roll = (cr - cl) / 2
  return {
    wood: [
      `M${left - 7},${nut}L${right + 7},${nut}L${right + 9},${shoulder}C${middle + wide},${shoulder + 10} ${middle + wide},${tail - 40} ${middle + wide * 0.9},${foot}Q${middle},${foot + 60} ${middle - wide * 0.9},${foot}C${middle - wide},${tail - 40} ${middle - wide},${shoulder + 10} ${left - 9},${shoulder}Z`,
      `M${cl},${nut}V${head}A${roll},${roll} 0 0 1 ${cr},${head}V${nut}Z`,
    ],
    lines: [
      smooth(along(strings, (s) => s.tail)) ?? '',
      smooth(along(strings, (s) => s.bridge)) ?? '',
      `M${middle - roll * 0.55},${head - roll * 0.2}a${roll * 0.55},${roll * 0.55} 0 1 1 ${roll * 0.55},${roll * 0.45}a${roll * 0.3},${roll * 0.3} 0 1 1 ${roll * 0.28},${-roll * 0.32}`,
    ],
    margin: { left: wide + 40, right: wide + 30, top: roll + 66, bottom: 70 },
  }
}

/** Body, bridge and nut of a flat zither. */
function zitherWood(strings: readonly DrawnString[]) {
  const [bass, treble] = [requireValue(strings.at(-1)), itemAt(strings, 0)]
  const side = 22
  const body = `M${bass.x - side},${bass.pin - 34}L${treble.x + side},${treble.pin - 34}L${treble.x + side},${treble.foot + 34}L${bass.x - side},${bass.foot + 34}Z`
  return {
    wood: [body],
    lines: [smooth(along(strings, (s) => s.tail)) ?? '', smooth(along(strings, (s) => s.bridge)) ?? ''],
    margin: { left: side + 40, right: side + 20, top: 44, bottom: 46 },
  }
}

type Wood = ReturnType<typeof harpWood>

function woodOf({ family }: Instrument, strings: readonly DrawnString[], feet: readonly DrawnFoot[]): Wood {
  // Wood is drawn with its bass at the left; mirrored strings have it drawn mirrored.
  const mirrored = strings.length > 1 && itemAt(strings, 0).x < requireValue(strings.at(-1)).x
  if (!mirrored) return WOOD[family](strings, feet)
  const turned = (x: number) => -x
  const { wood, lines, margin } = WOOD[family](
    strings.map((s) => ({ ...s, x: turned(s.x) })),
    feet.map((f) => ({ ...f, x: turned(f.x) })),
  )
  return {
    wood: wood.map(mirroredPath),
    lines: lines.map(mirroredPath),
    margin: { ...margin, left: margin.right, right: margin.left },
  }
}

/** Places of a coordinate in the arguments of each path command that lie across. */
const ACROSS: Readonly<Record<string, readonly number[]>> = {
  M: [0],
  L: [0],
  H: [0],
  V: [],
  C: [0, 2, 4],
  Q: [0, 2],
  A: [5],
  h: [0],
  v: [],
  a: [5],
  l: [0],
  m: [0],
}

/** A path with left and right exchanged; an arc then turns the other way. */
function mirroredPath(path: string): string {
  return path.replace(/([a-zA-Z])([^a-zA-Z]*)/g, (_, command: string, rest: string) => {
    const places = ACROSS[command]
    if (!places || rest.trim() === '') return command + rest
    const count = { C: 6, Q: 4, A: 7, a: 7, H: 1, V: 1, h: 1, v: 1 }[command] ?? 2
    const numbers = rest
      .trim()
      .split(/[\s,]+/)
      .map(Number)
    return (
      command +
      numbers
        .map((n, i) => (places.includes(i % count) ? -n : count === 7 && i % 7 === 4 ? 1 - n : n))
        .join(' ')
    )
  })
}

const WOOD: Record<Family, (strings: readonly DrawnString[], feet: readonly DrawnFoot[]) => Wood> = {
  'pedal harp': harpWood,
  'lever harp': harpWood,
  'lap harp': harpWood,
  'wire-strung harp': harpWood,
  'lap zither': zitherWood,
  'loop-end zither': zitherWood,
  'long zither': longWood,
  'scroll-head zither': scrollWood,
  lyre: lyreWood,
}
