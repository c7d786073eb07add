/**
 * What can be measured on an instrument that came from a preset, how wide the preset's assumption of it is, and what a
 * measured value changes.
 */
import { withLine, chartLine } from '../chart/chart-line'
import { firstOfPieces, type Instrument, type StringPosition } from '../instrument/instrument'
import { itemAt } from '../list/item-at'
import { sameMake, type Construction } from '../strings/construction'

export type QuantityKey = `speaking ${number}` | `gauge ${number}` | 'beyond' | 'pin' | 'board'

const KEY = /^(?:(?:speaking|gauge) [1-9]\d{0,2}|beyond|pin|board)$/

/** Whether a text is the key of a quantity. */
export function isQuantityKey(text: string): text is QuantityKey {
  return KEY.test(text)
}

/** What was measured, and how well where it was not by the usual tool: one standard deviation, m; null where it was. */
export interface Measured {
  readonly key: QuantityKey
  readonly error: number | null
}

export interface Quantity {
  readonly key: QuantityKey
  /** As it is assumed now, m. */
  readonly value: number
  /** Standard deviation of the logarithm of the true value, as the preset leaves it. */
  readonly prior: number
  /** Of a measurement by hand, m. */
  readonly error: number
  /** The first and the last string that it concerns. */
  readonly from: number
  readonly to: number
}

/**
 * How far instruments of a family differ from its preset: our own estimates from the demo's charts, wide on purpose. Each
 * is the standard deviation of a logarithm.
 */
const WIDTHS = { speaking: 0.06, gauge: 0.08, beyond: 0.2, pin: 0.08, board: 0.25 } as const
/** By tape, rule and calliper, m. */
const ERRORS = { speaking: 1e-3, gauge: 1e-5, beyond: 2e-3, pin: 5e-5, board: 5e-4 } as const

/** How exactly a chart tells a length and a gauge: to the millimetre, and to two hundredths of one. One standard deviation, m. */
export const CHART_ERRORS = { speaking: 1e-3, gauge: 1e-5 } as const

/**
 * Whether somebody measured it by hand or a chart says it: nothing that is only inferred, from a preset or a picture, may
 * change it. A chart's error is this very number; a picture's own, however small, never is.
 */
export function isFirm({ key, error }: Measured): boolean {
  return error === null || error === (key.startsWith('gauge') ? CHART_ERRORS.gauge : CHART_ERRORS.speaking)
}

/** A section's gauges come from one preset, and one of them tells of the others; a chart of its own tells more. */
export function quantitiesOf(instrument: Instrument): readonly Quantity[] {
  const { positions } = instrument
  const middle = itemAt(positions, Math.floor(positions.length / 2))
  const all = { from: 1, to: positions.length }
  const board = positions.find((p) => p.tail.boardThickness > 0)
  return [
    ...firstOfPieces(instrument).map((p): Quantity => ({
      key: `speaking ${p.number}`,
      value: p.speakingLength,
      prior: WIDTHS.speaking,
      error: ERRORS.speaking,
      from: p.number,
      to: p.number,
    })),
    ...sectionsOf(positions).map(({ from, to, at }): Quantity => ({
      key: `gauge ${from}`,
      value: thicknessOf(at.construction),
      prior: WIDTHS.gauge,
      error: ERRORS.gauge,
      from,
      to,
    })),
    {
      key: 'beyond',
      value: middle.freeLength - middle.speakingLength,
      prior: WIDTHS.beyond,
      error: ERRORS.beyond,
      ...all,
    },
    { key: 'pin', value: middle.head.pin.diameter, prior: WIDTHS.pin, error: ERRORS.pin, ...all },
    ...(board
      ? [
          {
            key: 'board',
            value: board.tail.boardThickness,
            prior: WIDTHS.board,
            error: ERRORS.board,
            ...all,
          } as const,
        ]
      : []),
  ]
}

/** Lengths that were measured by tape, by the number of the piece from the top. */
export function measuredPieces(instrument: Instrument, pieces: readonly number[]): readonly Measured[] {
  const first = firstOfPieces(instrument)
  return pieces.flatMap((piece): Measured[] => {
    const position = first[piece - 1]
    return position ? [{ key: `speaking ${position.number}`, error: null }] : []
  })
}

interface Section {
  readonly from: number
  readonly to: number
  /** The string in its middle, on which it is measured. */
  readonly at: StringPosition
}

/** Runs of strings of one make. */
export function sectionsOf(positions: readonly StringPosition[]): readonly Section[] {
  const starts = positions.filter((p, i) => {
    const before = positions[i - 1]
    return !before || !sameMake(before.construction, p.construction)
  })
  return starts.map(({ number: from }, i) => {
    const to = (starts[i + 1]?.number ?? positions.length + 1) - 1
    return { from, to, at: itemAt(positions, Math.floor((from + to) / 2) - 1) }
  })
}

/** What is measured of a string's thickness: the gauge of a plain one, the core of a wound one is never bare. */
export function thicknessOf(construction: Construction): number {
  return construction.kind === 'plain' ? construction.gauge : construction.wrap.diameter
}

/**
 * An instrument of which one quantity is another by a factor: what hangs together changes together.
 *
 * @param factor - of the quantity's value
 * @throws RangeError with a sentence that can be shown, when it makes a length impossible
 */
export function scaled(instrument: Instrument, quantity: Quantity, factor: number): Instrument {
  const change = (p: StringPosition): StringPosition => {
    if (p.number < quantity.from || p.number > quantity.to) return p
    switch (quantity.key) {
      case 'beyond':
        return withLine(p, {
          ...chartLine(p),
          freeLength: p.speakingLength + (p.freeLength - p.speakingLength) * factor,
        })
      case 'pin':
        return {
          ...p,
          head: { ...p.head, pin: { ...p.head.pin, diameter: p.head.pin.diameter * factor } },
        }
      case 'board':
        return { ...p, tail: { ...p.tail, boardThickness: p.tail.boardThickness * factor } }
      default:
        return quantity.key.startsWith('gauge') ? { ...p, construction: thicker(p.construction, factor) } : p
    }
  }
  if (quantity.key.startsWith('speaking')) {
    const piece = instrument.positions[quantity.from - 1]?.piece
    return {
      ...instrument,
      positions: instrument.positions.map((p) => (p.piece === piece ? longer(p, factor) : p)),
    }
  }
  return { ...instrument, positions: instrument.positions.map(change) }
}

/** A position with another speaking length; what lies beyond it stays. */
export function longer(p: StringPosition, factor: number): StringPosition {
  const speakingLength = p.speakingLength * factor
  return withLine(p, {
    ...chartLine(p),
    speakingLength,
    freeLength: p.freeLength + speakingLength - p.speakingLength,
  })
}

function thicker(construction: Construction, factor: number): Construction {
  return construction.kind === 'plain'
    ? { ...construction, gauge: construction.gauge * factor }
    : { ...construction, wrap: { ...construction.wrap, diameter: construction.wrap.diameter * factor } }
}
