/**
 * What is particular to some zithers, in millimetres of the drawing: feet with the strings wound over each other on them, pegs
 * with their cords, and cross pins stacked in a scroll.
 */
import { gaugeOf, type Instrument, type StringPosition } from '@/core/instrument/instrument'
import { layersOver, sameLayers } from '@/core/instrument/layers'
import { isOnFoot } from '@/core/knots/fastenings'
import { itemAt } from '@/core/list/item-at'
import type { DrawnString } from './drawn-string'

/** One turn of string on a foot, by its radius. */
export interface FootLayer {
  readonly called: number
  readonly radius: number
  readonly width: number
  /** Where its string comes down from the bridge. */
  readonly from: { readonly x: number; readonly y: number }
}

export interface DrawnFoot {
  readonly x: number
  readonly y: number
  readonly radius: number
  /** From its middle to the outside of the wood, where its numbers stand. */
  readonly reach: number
  /** From the foot outward. */
  readonly layers: readonly FootLayer[]
}

const MM = 1000
/** Turns are drawn heavier than life, so that they can be told apart. */
const HEAVIER = 2.4

/** Clear of the wood's edge, mm of the drawing. */
const BESIDE = 92

/**
 * The feet of an instrument, each with its strings' turns in the order they lie.
 *
 * @param drawn - every string, shortest first
 * @param below - how far under the bridge the feet stand, mm of the drawing
 */
export function feetOf(
  instrument: Instrument,
  drawn: readonly DrawnString[],
  below: number,
): readonly DrawnFoot[] {
  const groups = new Map<number, readonly StringPosition[]>()
  for (const position of instrument.positions.filter(isOnFoot)) {
    const group = sameLayers(instrument, position)
    groups.set(group[0]?.number ?? position.number, group)
  }
  return [...groups.values()].map((group): DrawnFoot => {
    const strings = group.map((p) => itemAt(drawn, p.number - 1))
    const radius = ((group[0]?.tail.postDiameter ?? 0.018) * MM) / 2
    // What most lies over is wound first.
    const inward = [...group].sort(
      (a, b) => layersOver(instrument, b).length - layersOver(instrument, a).length,
    )
    let out = radius
    const layers = inward.map((p): FootLayer => {
      const width = gaugeOf(p) * MM * HEAVIER
      out += width
      const s = itemAt(drawn, p.number - 1)
      return { called: p.called.number, radius: out - width / 2, width, from: { x: s.x, y: s.tail } }
    })
    return {
      layers,
      radius,
      reach: BESIDE + (Math.max(...strings.map((s) => s.x)) - Math.min(...strings.map((s) => s.x))),
      x: strings.reduce((sum, s) => sum + s.x, 0) / strings.length,
      y: Math.max(...strings.map((s) => s.tail)) + below,
    }
  })
}

/** A pin that lies across a scroll, with the side that its knob stands on. */
export interface CrossPin {
  readonly string: DrawnString
  readonly left: number
  readonly right: number
  readonly y: number
  readonly radius: number
  readonly knob: 'left' | 'right'
}

/** Cross pins, the one furthest up the scroll first: what comes after lies over its string. */
export function crossPinsOf(drawn: readonly DrawnString[]): readonly CrossPin[] {
  const across = drawn.filter(({ position }) => position.head.pin.setting === 'across a scroll')
  if (across.length === 0) return []
  const [left, right] = [
    Math.min(...across.map((s) => s.x)) - SCROLL,
    Math.max(...across.map((s) => s.x)) + SCROLL,
  ]
  return [...across]
    .sort((a, b) => a.pin - b.pin)
    .map((string, i): CrossPin => ({
      string,
      left,
      right,
      y: string.pin,
      radius: string.position.head.pin.diameter * (MM / 2),
      knob: i % 2 === 0 ? 'right' : 'left',
    }))
}

/** From the outermost string to the outside of a scroll's cheek, mm. */
export const SCROLL = 9
