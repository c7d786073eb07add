/**
 * The shapes of a string field in millimetres of the drawing, y downward, from an instrument's geometry.
 */
import { curveMonotoneX, line } from 'd3-shape'
import { gaugeOf, type Family, type Instrument, type Point, type StringPosition } from '@/core/instrument/instrument'
import { spacingAt } from '@/core/instrument/neck'

export interface DrawnString {
  readonly position: StringPosition
  readonly x: number
  /** Lower fastening, end of the speaking length, tuning pin. */
  readonly foot: number
  readonly tail: number
  readonly bridge: number
  readonly pin: number
  /** Stroke width: by gauge, heavier than life so that it can be told apart. */
  readonly weight: number
}

export interface FieldShape {
  readonly viewBox: { readonly x: number; readonly y: number; readonly width: number; readonly height: number }
  readonly strings: readonly DrawnString[]
  /** Outlines of the wood, as SVG paths, back to front. */
  readonly wood: readonly string[]
  /** Lines along the bridge pins and the board. */
  readonly lines: readonly string[]
  /** How many times wider than life it is drawn, so that the strings of a long, narrow instrument can be told apart; 1 is to scale. */
  readonly across: number
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
      position, x: tail.x * MM * across, foot: flip(tail.y - below), tail: flip(tail.y), bridge: flip(bridge.y), pin: flip(pin.y),
      weight: Math.min(16, spacingAt(instrument, position) * MM) * (0.13 + 0.13 * gaugeOf(position) * MM),
    }
  })
  const { wood, lines, margin } = WOOD[instrument.family](strings)
  const xs = strings.map((s) => s.x)
  const bottom = Math.max(...strings.map((s) => s.foot))
  const box = { x: Math.min(...xs) - margin.left, y: -margin.top, right: Math.max(...xs) + margin.right, bottom: bottom + margin.bottom }
  return {
    strings, wood, lines, across,
    viewBox: { x: box.x, y: box.y, width: box.right - box.x, height: box.bottom - box.y },
    posts: strings.flatMap((s) => (s.position.tail.postDiameter === null ? [] : [{ x: s.x, y: s.foot, r: (s.position.tail.postDiameter * MM) / 2 }])),
  }
}

/** A drawing narrower than this share of its height is drawn wider. */
const NARROWEST = 0.2

function widening({ positions }: Instrument): number {
  const xs = positions.map((p) => p.at.tail.x)
  const height = Math.max(...positions.map((p) => p.at.pin.y)) - Math.min(...positions.map((p) => p.at.tail.y))
  const width = Math.max(...xs) - Math.min(...xs)
  return width <= 0 ? 1 : Math.min(6, Math.max(1, Math.ceil((NARROWEST * height) / width)))
}

const smooth = line<Point>().x((p) => p.x).y((p) => p.y).curve(curveMonotoneX)

function along(strings: readonly DrawnString[], y: (s: DrawnString) => number): Point[] {
  return [...strings].sort((a, b) => a.x - b.x).map((s) => ({ x: s.x, y: y(s) }))
}

function reversed(path: readonly Point[]): string {
  return smooth([...path].reverse())?.replace(/^M/, 'L') ?? ''
}

/** Soundbox, column and neck of a harp, suggested from the lines of its strings' ends. */
function harpWood(strings: readonly DrawnString[]) {
  const [bass, treble] = [strings.at(-1) as DrawnString, strings[0] as DrawnString]
  const reach = treble.x - bass.x
  const column = { left: bass.x - reach * 0.085, right: bass.x - reach * 0.04 }
  const below = along(strings, (s) => s.bridge + 16)
  const above = along(strings, (s) => s.pin - 22)
  const shoulder = { x: treble.x + reach * 0.1, y: treble.tail + reach * 0.05 }
  const neckStart = { x: column.left, y: (above[0] as Point).y }
  const neck = `${smooth([neckStart, ...above, { x: shoulder.x, y: (above.at(-1) as Point).y + 16 }])}L${shoulder.x},${shoulder.y}L${treble.x + reach * 0.02},${shoulder.y}${reversed([{ x: column.left, y: (below[0] as Point).y + 26 }, ...below, { x: treble.x + reach * 0.02, y: (below.at(-1) as Point).y }])}Z`
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
  const [bass, treble] = [strings.at(-1) as DrawnString, strings[0] as DrawnString]
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
      armOf(bass, -1), armOf(treble, 1),
      `M${bass.x - wide},${waist}L${treble.x + wide},${waist}C${treble.x + wide + 26},${foot} ${treble.x + wide * 0.7},${foot + 36} ${(bass.x + treble.x) / 2},${foot + 36}C${bass.x - wide * 0.7},${foot + 36} ${bass.x - wide - 26},${foot} ${bass.x - wide},${waist}Z`,
      `M${start},${bass.pin - 14}L${end},${treble.pin - 14}v38L${start},${bass.pin + 24}Z`,
    ],
    lines: [smooth(along(strings, (s) => s.tail)) ?? '', smooth(along(strings, (s) => s.foot)) ?? ''],
    margin: { left: wide + 60, right: wide + 60, top: 40, bottom: 56 },
  }
}

/** The long body of a zither whose strings run its whole length, narrower at the head. */
function longWood(strings: readonly DrawnString[]) {
  const [left, right] = [Math.min(...strings.map((s) => s.x)), Math.max(...strings.map((s) => s.x))]
  const head = Math.min(...strings.map((s) => s.pin))
  const foot = Math.max(...strings.map((s) => s.foot))
  const side = (right - left) * 0.28 + 14
  const neck = side * 0.55
  return {
    wood: [`M${left - neck},${head - 46}L${right + neck},${head - 46}L${right + side},${head + (foot - head) * 0.35}L${right + side},${foot + 34}L${left - side},${foot + 34}L${left - side},${head + (foot - head) * 0.35}Z`],
    lines: [smooth(along(strings, (s) => s.tail)) ?? '', smooth(along(strings, (s) => s.bridge)) ?? ''],
    margin: { left: side + 110, right: side + 90, top: 62, bottom: 52 },
  }
}

/** Body, bridge and nut of a flat zither. */
function zitherWood(strings: readonly DrawnString[]) {
  const [bass, treble] = [strings.at(-1) as DrawnString, strings[0] as DrawnString]
  const side = 22
  const body = `M${bass.x - side},${bass.pin - 34}L${treble.x + side},${treble.pin - 34}L${treble.x + side},${treble.foot + 34}L${bass.x - side},${bass.foot + 34}Z`
  return {
    wood: [body],
    lines: [smooth(along(strings, (s) => s.tail)) ?? '', smooth(along(strings, (s) => s.bridge)) ?? ''],
    margin: { left: side + 40, right: side + 20, top: 44, bottom: 46 },
  }
}

const WOOD: Record<Family, typeof harpWood> = {
  'pedal harp': harpWood, 'lever harp': harpWood, 'lap harp': harpWood, 'wire-strung harp': harpWood,
  'lap zither': zitherWood, 'loop-end zither': zitherWood, 'long zither': longWood, 'scroll-head zither': longWood, lyre: lyreWood,
}
