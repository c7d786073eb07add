/**
 * How sure an instrument's figures are, and which measurement makes them surer the most.
 */
import { fittingFigures } from '../fitting/figures'
import type { Habits } from '../fitting/habits'
import { firstOfPieces, type Instrument, type StringPosition } from '../instrument/instrument'
import { itemAt } from '../list/item-at'
import { afterMeasuring, beliefsOf, type Beliefs } from './beliefs'
import { quantitiesOf, scaled, type Measured, type Quantity } from './quantity'

/** One standard deviation of each figure of a string. */
export interface Sureness {
  readonly number: number
  /** m */
  readonly cut: number
  /** m */
  readonly slack: number
  /** semitones to breaking */
  readonly margin: number
}

export interface Measurement {
  readonly quantity: Quantity
  /** Share of the doubt left before it that it takes away. */
  readonly takes: number
  /** The typical cut's standard deviation once it is done, m. */
  readonly cutAfter: number
}

export interface MeasuringPlan {
  readonly now: readonly Sureness[]
  /** What to measure next, in this order. */
  readonly next: readonly Measurement[]
}

/** Doubts that weigh alike: a centimetre of cut, a centimetre of slack, a semitone to breaking. */
const UNIT = { cut: 0.01, slack: 0.01, margin: 1 } as const
/** Less than this share of the first doubt is not worth a measurement. */
const WORTH = 0.03
const STEP = 1e-3

/**
 * What to measure of an instrument that came from a preset.
 *
 * @param measured - quantities that are measured already
 * @param most - measurements that are told
 */
export function measuringPlan(
  instrument: Instrument,
  habits: Habits,
  measured: readonly Measured[],
  most = 6,
): MeasuringPlan {
  const quantities = quantitiesOf(instrument)
  const effects = effectsOf(instrument, habits, quantities, firstOfPieces(instrument))
  let beliefs = beliefsOf(quantities, measured)
  const first = doubt(effects, beliefsOf(quantities, []))
  const now = surenessOf(effects, beliefs)
  // What a picture told can be told better by a tape.
  const known = new Set(measured.flatMap(({ key, error }) => (error === null ? [key] : [])))
  const next: Measurement[] = []
  let left = doubt(effects, beliefs)
  while (next.length < most) {
    const offers = quantities
      .filter(({ key }) => !known.has(key))
      .map((quantity) => {
        const after = afterMeasuring(beliefs, { key: quantity.key, error: null }).beliefs
        return { quantity, after, doubt: doubt(effects, after) }
      })
    const best = offers.reduce<(typeof offers)[number] | null>(
      (had, offer) => (!had || offer.doubt < had.doubt ? offer : had),
      null,
    )
    if (!best || left - best.doubt < WORTH * first) break
    const cuts = surenessOf(effects, best.after)
      .map(({ cut }) => cut)
      .sort((a, b) => a - b)
    next.push({
      quantity: best.quantity,
      takes: (left - best.doubt) / left,
      cutAfter: cuts[cuts.length >> 1] ?? 0,
    })
    known.add(best.quantity.key)
    beliefs = best.after
    left = best.doubt
  }
  return { now, next }
}

/**
 * How sure one string's figures are now.
 *
 * @param number - of any string of the piece
 */
export function surenessAt(
  instrument: Instrument,
  habits: Habits,
  measured: readonly Measured[],
  number: number,
): Sureness | null {
  const piece = instrument.positions[number - 1]?.piece
  const quantities = quantitiesOf(instrument)
  const pieces = firstOfPieces(instrument).filter((p) => p.piece === piece)
  const [sureness] = surenessOf(
    effectsOf(instrument, habits, quantities, pieces),
    beliefsOf(quantities, measured),
  )
  return sureness ?? null
}

/** How a string's figures follow the logarithm of each quantity; quantities that it does not know are left out. */
interface Effects {
  readonly number: number
  readonly of: ReadonlyMap<number, Omit<Sureness, 'number'>>
}

function effectsOf(
  instrument: Instrument,
  habits: Habits,
  quantities: readonly Quantity[],
  pieces: readonly StringPosition[],
): readonly Effects[] {
  const concerns = ({ from, to }: Quantity, p: StringPosition) => p.number >= from && p.number <= to
  const changed = quantities.map((quantity) =>
    pieces.some((p) => concerns(quantity, p)) ? scaled(instrument, quantity, Math.exp(STEP)) : null,
  )
  return pieces.map((p) => {
    const own = figuresAt(instrument, p, habits)
    const of = new Map(
      quantities.flatMap((quantity, k) => {
        const other = changed[k]
        if (!other || !concerns(quantity, p)) return []
        const then = figuresAt(other, itemAt(other.positions, p.number - 1), habits)
        return [
          [
            k,
            {
              cut: (then.cut - own.cut) / STEP,
              slack: (then.slack - own.slack) / STEP,
              margin: (then.margin - own.margin) / STEP,
            },
          ] as const,
        ]
      }),
    )
    return { number: p.number, of }
  })
}

function figuresAt(
  instrument: Instrument,
  position: StringPosition,
  habits: Habits,
): Omit<Sureness, 'number'> {
  const { cut, strings } = fittingFigures(instrument, position, habits)
  return {
    cut: cut.total,
    slack: strings[0]?.slack.length ?? 0,
    margin: strings[0]?.semitonesToBreaking ?? 0,
  }
}

function surenessOf(effects: readonly Effects[], { spread }: Beliefs): readonly Sureness[] {
  return effects.map(({ number, of }) => {
    const variance = (figure: 'cut' | 'slack' | 'margin') => {
      let sum = 0
      for (const [i, a] of of) for (const [k, b] of of) sum += a[figure] * b[figure] * (spread[i]?.[k] ?? 0)
      return Math.sqrt(Math.max(0, sum))
    }
    return { number, cut: variance('cut'), slack: variance('slack'), margin: variance('margin') }
  })
}

/** All doubt together: variances of what a hand acts on, each in its own unit. */
function doubt(effects: readonly Effects[], beliefs: Beliefs): number {
  return surenessOf(effects, beliefs).reduce(
    (sum, { cut, slack, margin }) =>
      sum + (cut / UNIT.cut) ** 2 + (slack / UNIT.slack) ** 2 + (margin / UNIT.margin) ** 2,
    0,
  )
}
