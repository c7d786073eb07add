/**
 * One line of a string chart: what the chart says of a position, some of it perhaps not known yet.
 */
import { boardProblem } from '../hardware/board-in-string'
import type { Point, StringColour, StringPosition } from '../instrument/instrument'
import type { Note } from '../pitch/note'
import { nearestPossible } from '../strings/bounds'
import type { Construction } from '../strings/construction'
import { makeText } from './material-text'
import type { Written } from '../strings/written-lengths'

export interface ChartLine {
  readonly number: number
  readonly makerLabel: string | null
  /** Make and line that the chart asks for; null where any will do. */
  readonly askedMake: string | null
  readonly note: Note
  readonly colour: StringColour
  /** Null while it is not known. */
  readonly construction: Construction | null
  /** What it is made of, as {@link makeText} writes it; known sometimes before the gauge is. */
  readonly make: string | null
  /** m; null while it is not known. */
  readonly speakingLength: number | null
  /** m; null while it is not known. */
  readonly freeLength: number | null
  /** Its lengths as somebody wrote them, where that was not in millimetres. */
  readonly written?: Written
}

/** A line with nothing left open. */
export interface WholeLine extends ChartLine {
  readonly construction: Construction
  readonly speakingLength: number
  readonly freeLength: number
}

/** What the chart has of a position. */
export function chartLine(p: StringPosition): WholeLine {
  const {
    number,
    makerLabel,
    askedMake,
    note,
    colour,
    construction,
    speakingLength,
    freeLength,
    written = {},
  } = p
  return {
    number,
    makerLabel,
    askedMake,
    note,
    colour,
    construction,
    make: makeText(construction),
    speakingLength,
    freeLength,
    written,
  }
}

/** Whether nothing is left open on a line. */
export function isWhole(line: ChartLine): line is WholeLine {
  return line.construction !== null && line.speakingLength !== null && line.freeLength !== null
}

/**
 * A position with what its line says. The geometry follows the lengths: the string keeps its lower end and its
 * direction, and what lies beyond the speaking length keeps its proportions.
 *
 * @throws RangeError with a sentence that can be shown, when the free length is not longer than the speaking length,
 * or shorter than the board is thick
 */
export function withLine(position: StringPosition, line: WholeLine): StringPosition {
  const { speakingLength, freeLength } = line
  if (freeLength <= speakingLength)
    throw new RangeError(
      `String ${line.number}: the free length runs from end knot to tuning pin and must be longer than the speaking length.`,
    )
  const had = position.freeLength - position.speakingLength
  // A string that ended at its bridge pin had nothing beyond that could be scaled.
  const scale = had > 1e-9 ? (freeLength - speakingLength) / had : 1
  const sameBeyond = Math.abs(scale - 1) < 1e-9
  const toBridge = sameBeyond
    ? position.head.pin.toBridge
    : nearestPossible('to bridge', position.head.pin.toBridge * scale)
  const { tail } = position.at
  const bridge = toward(tail, position.at.bridge, speakingLength)
  const step = { x: position.at.pin.x - position.at.bridge.x, y: position.at.pin.y - position.at.bridge.y }
  const pin = toward(
    bridge,
    { x: bridge.x + step.x, y: bridge.y + step.y },
    Math.hypot(step.x, step.y) * (sameBeyond ? 1 : scale),
  )
  const { note, colour, construction, makerLabel, askedMake, written = {} } = line
  const drawn = {
    ...position,
    note,
    colour,
    construction,
    makerLabel,
    askedMake,
    speakingLength,
    freeLength,
    ...(position.written || Object.keys(written).length > 0 ? { written } : {}),
    head: { ...position.head, pin: { ...position.head.pin, toBridge } },
    at: { tail, bridge: possible(bridge), pin: possible(pin) },
  }
  const problem = boardProblem(drawn)
  if (problem) throw new RangeError(problem)
  return drawn
}

const possible = ({ x, y }: Point): Point => ({
  x: nearestPossible('place', x),
  y: nearestPossible('place', y),
})

function toward(
  from: { readonly x: number; readonly y: number },
  to: { readonly x: number; readonly y: number },
  distance: number,
) {
  const length = Math.hypot(to.x - from.x, to.y - from.y)
  return length > 0
    ? { x: from.x + ((to.x - from.x) / length) * distance, y: from.y + ((to.y - from.y) / length) * distance }
    : { x: from.x, y: from.y + distance }
}
