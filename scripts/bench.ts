/**
 * Speeds, as measured on this machine: `npm run bench`. Nothing here passes or fails.
 */
import { rebuildChart, type MakeOnOffer } from '@/core/chart/rebuild'
import { fittingFigures, restFigures } from '@/core/fitting/figures'
import { DEFAULT_HABITS } from '@/core/fitting/habits'
import { FRESH } from '@/core/fitting/context'
import { fittingContext, fittingSteps } from '@/core/fitting/fitting-steps'
import { stepsTogether } from '@/core/fitting/together'
import { nextClues } from '@/core/identify/next-clue'
import { restPitch, type Instrument } from '@/core/instrument/instrument'
import { itemAt } from '@/core/list/item-at'
import { readName } from '@/core/names/read-name'
import type { Material } from '@/core/strings/materials'
import { tension } from '@/core/strings/tension'
import { readShelf } from '@/data/demo/shelf-files'

const [lovage] = readShelf('demo').instruments as [Instrument]

/** Median time of one run, µs. */
function median(run: () => void, runs = 300): number {
  const times = Array.from({ length: runs }, () => {
    const start = process.hrtime.bigint()
    run()
    return Number(process.hrtime.bigint() - start) / 1000
  })
  return itemAt(
    times.sort((a, b) => a - b),
    Math.floor(runs / 2),
  )
}

const forEach = (work: (position: (typeof lovage.positions)[number]) => void) => () =>
  lovage.positions.forEach(work)
/** Five materials with sixty gauges each, for all 47 positions. */
const PLAIN: readonly Material[] = ['nylon 6.12', 'fluorocarbon', 'gut', 'brass', 'phosphor bronze']
const makes = PLAIN.map((material): MakeOnOffer => {
  const all = Array.from(
    { length: 60 },
    (_, i) => ({ kind: 'plain', material, gauge: 0.4e-3 + i * 0.05e-3 }) as const,
  )
  return { name: material, candidates: () => all }
})
const open = lovage.positions.map((p) => ({
  number: p.number,
  pitch: restPitch(lovage, p),
  speakingLength: p.speakingLength,
  target: tension(p.construction, p.speakingLength, restPitch(lovage, p)),
  measured: null,
  fixed: null,
}))

const figuresOf = new Map<number, ReturnType<typeof fittingFigures>>()
/** Every string of the instrument as part of one job. */
function members() {
  return lovage.positions.map((position) => {
    const figures = figuresOf.get(position.number) ?? fittingFigures(lovage, position, DEFAULT_HABITS)
    figuresOf.set(position.number, figures)
    const context = fittingContext(lovage, position, figures, DEFAULT_HABITS, FRESH)
    return { id: position.number, context, steps: fittingSteps(context) }
  })
}

const rows = [
  ['plate figures of all 47 strings', median(forEach((p) => restFigures(lovage, p)))],
  ['fitting figures of all 47 strings', median(forEach((p) => fittingFigures(lovage, p, DEFAULT_HABITS)))],
  [
    'steps of a restring of all 47 strings, figures worked out',
    median(() => stepsTogether(members(), 'one for one, alternating ends')),
  ],
  [
    'the same with its figures',
    median(() => {
      figuresOf.clear()
      stepsTogether(members(), 'one for one, alternating ends')
    }),
  ],
  ['reading one typed name', median(() => readName('4th-octave A', lovage))],
  ['rebuilding 47 positions out of 5 materials × 60 gauges', median(() => rebuildChart(open, makes), 21)],
  [
    'the next best clue on 47 strings, one clue given',
    median(() => nextClues(lovage, [{ kind: 'look', seen: 'grain' }], 1e-5), 51),
  ],
] as const
for (const [what, time] of rows) console.log(`${what.padEnd(56)} ${time.toFixed(0).padStart(7)} µs`)
