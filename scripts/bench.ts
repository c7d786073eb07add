/**
 * Speeds, as measured on this machine: `npm run bench`. Nothing here passes or fails.
 */
import { fittingFigures, restFigures } from '@/core/fitting/figures'
import { DEFAULT_HABITS } from '@/core/fitting/habits'
import { fittingSteps } from '@/core/fitting/steps'
import type { Instrument } from '@/core/instrument/instrument'
import { readName } from '@/core/instrument/read-name'
import { readShelf } from '@/data/demo/shelf-files'

const [lovage] = readShelf('demo').instruments as [Instrument]

/** Median time of one run, µs. */
function median(run: () => void, runs = 300): number {
  const times = Array.from({ length: runs }, () => {
    const start = process.hrtime.bigint()
    run()
    return Number(process.hrtime.bigint() - start) / 1000
  })
  return times.sort((a, b) => a - b)[Math.floor(runs / 2)] as number
}

const forEach = (work: (position: (typeof lovage.positions)[number]) => void) => () => lovage.positions.forEach(work)
const rows = [
  ['plate figures of all 47 strings', median(forEach((p) => restFigures(lovage, p)))],
  ['fitting figures of all 47 strings', median(forEach((p) => fittingFigures(lovage, p, DEFAULT_HABITS)))],
  ['steps of all 47 strings', median(forEach((position) => fittingSteps({ instrument: lovage, position, habits: DEFAULT_HABITS, figures: fittingFigures(lovage, position, DEFAULT_HABITS), site: 'knot', sameString: false })))],
  ['reading one typed name', median(() => readName('4th-octave A', lovage))],
] as const
for (const [what, time] of rows) console.log(`${what.padEnd(36)} ${time.toFixed(0).padStart(7)} µs`)
