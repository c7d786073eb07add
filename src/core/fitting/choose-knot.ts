/**
 * Which knot for this string: what suits its material, its gauge, its eyelet and the house's anchors, and why.
 */
import type { Instrument, StringPosition } from '../instrument/instrument'
import { knotConsumption, type KNOTS, needsAnchor, tailFacts, type TailFastening } from '../knots/fastenings'
import { measure, say, type Phrase } from '../measure'
import { coreMaterial, outerGauge, surfaceMaterial, type Construction } from '../strings/construction'
import type { Habits } from './habits'
import { anchorReason, isThin } from './thin'

export interface KnotChoice {
  readonly fastening: TailFastening
  /** Why this one, one sentence. */
  readonly because: Phrase
  /** Of the tightened knot, m; null where none rests on an eyelet. */
  readonly width: number | null
  readonly needsAnchor: boolean
  /** Knot and tag, m. */
  readonly takes: number
}

/** Below this a string is very thin, m. */
const VERY_THIN = 0.7e-3
/** From here on gut is thick, m. */
const THICK_GUT = 1.4e-3

interface Asked {
  readonly gauge: number
  readonly bore: number
  readonly material: string
  readonly wire: boolean
  readonly anchor: Habits['anchor']
  /** By the house's rule. */
  readonly thin: boolean
}

/** When each knot suits, in the order it is thought of; null where it does not. */
const SUITS: readonly {
  readonly fastening: (typeof KNOTS)[number]
  readonly when: (asked: Asked) => Phrase | null
}[] = [
  {
    fastening: 'slip loop',
    when: ({ wire }) =>
      wire
        ? say`Wire can’t be bent sharply and drawn down: a slip loop closes on its bight and needs no tight hitch.`
        : null,
  },
  {
    fastening: 'two-loop, crossed',
    when: ({ material, gauge, bore }) =>
      material === 'gut' && gauge >= THICK_GUT && !needsAnchor('two-loop, crossed', gauge, bore)
        ? say`Gut of ${measure('gauge', gauge)} is thick: both loops crossed make it wider than its eyelet of ${measure('width', bore)}, and it needs no anchor.`
        : null,
  },
  {
    fastening: 'third loop',
    when: ({ wire, gauge }) =>
      !wire && gauge < VERY_THIN
        ? say`At ${measure('gauge', gauge)} it is very thin: one more hitch keeps it from slipping.`
        : null,
  },
  {
    fastening: 'twisted loop',
    when: ({ wire, anchor }) =>
      !wire && anchor === 'dowel'
        ? say`The house’s anchor is a dowel, which lies well in a twisted loop.`
        : null,
  },
  {
    fastening: 'half knot and anchor',
    when: ({ material, gauge, bore }) =>
      material.startsWith('nylon') && needsAnchor('half knot and anchor', gauge, bore)
        ? say`Nylon is slippery and needs an anchor here: half knot and hitch both grip it.`
        : null,
  },
  {
    fastening: 'two-loop, open bight',
    when: ({ wire }) =>
      wire ? null : say`The general harp knot: its open bight takes an anchor of any size.`,
  },
]

/**
 * The knots that suit a string, best first; the one that is tied now is among them, with what the chart or the house says.
 * Empty where the string is not held by a knot on an eyelet.
 *
 * @param position - with the fastening that holds now
 */
export function knotsFor(
  instrument: Instrument,
  position: StringPosition,
  construction: Construction,
  habits: Habits,
): readonly KnotChoice[] {
  const { fastening: now, eyeletBore } = position.tail
  if (tailFacts(now).hold !== 'knot') return []
  const gauge = outerGauge(construction)
  const asked: Asked = {
    gauge,
    bore: eyeletBore ?? 0,
    material: coreMaterial(construction).name,
    wire: surfaceMaterial(construction).wire,
    anchor: habits.anchor,
    thin: isThin(instrument, position, construction, habits),
  }
  const choice = (fastening: TailFastening, because: Phrase): KnotChoice => {
    const { widthInGauges } = tailFacts(fastening)
    return {
      fastening,
      because,
      width: widthInGauges && widthInGauges * gauge,
      needsAnchor: anchorReason(instrument, position, fastening, construction, habits) !== null,
      takes: knotConsumption(fastening, gauge, habits.knots),
    }
  }
  const suiting = SUITS.flatMap(({ fastening, when }) => {
    const because = when(asked)
    return because ? [choice(fastening, because)] : []
  })
  if (suiting.some(({ fastening }) => fastening === now)) return suiting
  return [
    ...suiting,
    choice(
      now,
      habits.knot === 'as charted'
        ? say`The chart names it; it is used for: ${tailFacts(now).usedFor}.`
        : say`The house ties it; it is used for: ${tailFacts(now).usedFor}.`,
    ),
  ]
}
