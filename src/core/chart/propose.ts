/**
 * A lost chart rebuilt from what is left of it: lengths by a smooth curve, then the strings.
 */
import { itemAt } from '../list/item-at'
import { requireValue } from '../list/require-value'
import { frequency } from '../pitch/note'
import { outerGauge } from '../strings/construction'
import { tension } from '../strings/tension'
import type { ChartLine, WholeLine } from './chart-line'
import { fitLengths } from './fit-lengths'
import { makesShown } from './makes-on-offer'
import { makeText } from './material-text'
import { rebuildChart, type MakeOnOffer, type OpenPosition, type Progress } from './rebuild'
import { tensionTarget, type UsualTension } from './tension-target'

export interface Proposal {
  readonly lines: readonly WholeLine[]
  /** Numbers whose string was proposed, and whose length was. */
  readonly strings: readonly number[]
  readonly lengths: readonly number[]
}

export interface KnownWell {
  /** Standard error of the gauges that are known, m; zero keeps them exactly. */
  readonly error: number
  /** Tension to aim for where no gauge is known at all. */
  readonly usual?: UsualTension
}

export interface RebuildOptions extends KnownWell {
  /** Makes beside those that the known strings show, in their order from the treble. */
  readonly makes?: readonly MakeOnOffer[]
  readonly progress?: Progress
}

/** Where neither a gauge nor the family is known, N. */
const USUAL: UsualTension = { treble: 45, bass: 150 }
/** No gauge is known better than this, m. */
const LEAST_ERROR = 5e-6
/** Free length beyond the speaking length where neither neighbour's is known, as a share. */
const BEYOND = 0.12

/**
 * @param lines - the chart as far as it is known; every position has its line
 * @param referenceA - Hz
 * @returns the whole chart, or null when it was stopped
 * @throws RangeError with a sentence that can be shown, when too little is known to begin
 */
export function proposeChart(
  lines: readonly ChartLine[],
  referenceA: number,
  { error, usual, makes, progress }: RebuildOptions,
): Proposal | null {
  const sorted = [...lines].sort((a, b) => a.number - b.number)
  const lengths = fitLengths(
    new Map(
      sorted.flatMap(({ number, speakingLength }) =>
        speakingLength === null ? [] : [[number, speakingLength] as const],
      ),
    ),
    sorted.length,
  )
  const onOffer = makes ?? makesShown(sorted)
  if (onOffer.length === 0)
    throw new RangeError(
      'Expected at least one string whose material is known, to see what the instrument is strung with.',
    )
  const pitches = sorted.map(({ note }) => frequency(note, referenceA))
  const forces = new Map(
    sorted.flatMap(({ number, construction }, i) =>
      construction ? [[number, tension(construction, itemAt(lengths, i), itemAt(pitches, i))] as const] : [],
    ),
  )
  const targets = tensionTarget(forces, sorted.length, usual ?? USUAL)
  const positions = sorted.map((line, i): OpenPosition => ({
    number: line.number,
    pitch: itemAt(pitches, i),
    speakingLength: itemAt(lengths, i),
    target: itemAt(targets, i),
    fixed: error === 0 ? line.construction : null,
    measured:
      line.make === null
        ? null
        : {
            gauge: line.construction && outerGauge(line.construction),
            error: Math.max(error, LEAST_ERROR),
            make: line.make,
          },
  }))
  const rebuilt = rebuildChart(positions, onOffer, progress)
  if (!rebuilt) return null
  const beyond = beyondShares(sorted, lengths)
  return {
    lines: sorted.map((line, i): WholeLine => ({
      ...line,
      construction: rebuilt.strings[i]!,
      make: makeText(rebuilt.strings[i]!),
      speakingLength: itemAt(lengths, i),
      freeLength: isBeyond(line, itemAt(lengths, i))
        ? requireValue(line.freeLength)
        : Math.round(itemAt(lengths, i) * (1 + itemAt(beyond, i)) * 1e4) / 1e4,
    })),
    strings: sorted.filter((line) => line.construction === null).map(({ number }) => number),
    lengths: sorted.filter((line) => line.speakingLength === null).map(({ number }) => number),
  }
}

/** Whether a free length is known that goes with the speaking length; one that is shorter was supposed, and gives way. */
const isBeyond = ({ freeLength }: ChartLine, speaking: number): boolean =>
  freeLength !== null && freeLength > speaking

/** What lies beyond the speaking length, as a share of it, from the nearest line that knows both. */
function beyondShares(sorted: readonly ChartLine[], lengths: readonly number[]): readonly number[] {
  const shares = sorted.map((line, i) =>
    isBeyond(line, itemAt(lengths, i)) ? requireValue(line.freeLength) / itemAt(lengths, i) - 1 : null,
  )
  return shares.map((share, i) => {
    if (share !== null) return share
    for (let away = 1; away < shares.length; away += 1) {
      const near = shares[i - away] ?? shares[i + away]
      if (near !== null && near !== undefined) return near
    }
    return BEYOND
  })
}
