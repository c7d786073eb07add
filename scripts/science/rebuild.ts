/**
 * How well a lost chart comes back: a third of the strings of each instrument is hidden at random, material and gauge,
 * and rebuilt from the rest.
 */
import { chartLine } from '@/core/chart/chart-line'
import { proposeChart } from '@/core/chart/propose'
import { restPitch, type Instrument } from '@/core/instrument/instrument'
import { itemAt } from '@/core/list/item-at'
import { outerGauge } from '@/core/strings/construction'
import { tension } from '@/core/strings/tension'
import { seeded } from '@/core/random/seeded'

/** Times that a third is hidden on each instrument. */
const TIMES = 20
const SEED = 5

export interface Rebuilding {
  readonly name: string
  /** Strings hidden in all, over all times. */
  readonly hidden: number
  /** Share of them that came back with the same material and gauges. */
  readonly exact: number
  /** Mean and largest error of tension of those that didn't, as shares. */
  readonly meanError: number
  readonly worstError: number
}

/** Hides and rebuilds, the same way every time. */
export function rebuildings(instruments: readonly Instrument[], times = TIMES): readonly Rebuilding[] {
  const random = seeded(SEED)
  return instruments.map((instrument) => {
    const errors: number[] = []
    let hidden = 0
    for (let time = 0; time < times; time += 1) {
      const gone = hideAThird(instrument, random)
      const lines = instrument.positions
        .map(chartLine)
        .map((line) => (gone.has(line.number) ? { ...line, construction: null, make: null } : line))
      const proposal = proposeChart(lines, instrument.referenceA, { error: 0 })
      for (const p of instrument.positions.filter(({ number }) => gone.has(number))) {
        const proposed = proposal?.lines[p.number - 1]?.construction
        hidden += 1
        if (!proposed) continue
        const exact =
          proposed.kind === p.construction.kind &&
          Math.abs(outerGauge(proposed) - outerGauge(p.construction)) < 1e-7 &&
          JSON.stringify(proposed).replace(/[\d.e-]+/g, '') ===
            JSON.stringify(p.construction).replace(/[\d.e-]+/g, '')
        const pitch = restPitch(instrument, p)
        if (!exact)
          errors.push(
            Math.abs(
              tension(proposed, p.speakingLength, pitch) / tension(p.construction, p.speakingLength, pitch) -
                1,
            ),
          )
      }
    }
    return {
      name: instrument.name,
      hidden,
      exact: 1 - errors.length / hidden,
      meanError: errors.length === 0 ? 0 : errors.reduce((sum, e) => sum + e, 0) / errors.length,
      worstError: Math.max(0, ...errors),
    }
  })
}

function hideAThird({ positions }: Instrument, random: () => number): ReadonlySet<number> {
  const left = positions.map((p) => p.number)
  const gone = new Set<number>()
  for (let i = 0; i < Math.round(positions.length / 3); i += 1)
    gone.add(itemAt(left.splice(Math.floor(random() * left.length), 1), 0))
  return gone
}
