/**
 * Lays out a large workshop: `npm run scale -- 300 10` for three hundred instruments and ten years. The folder is named
 * by TAUT_DATA, or is data-large beside the program. The same seed gives the same workshop.
 */
import path from 'node:path'
import { prepareWorkshop } from '@/data/demo/prepare'
import { DEMO_DATE } from './serve'

const [instruments, years, seed] = process.argv.slice(2).map(Number)
const folder = process.env.TAUT_DATA ?? path.join(process.cwd(), 'data-large')
const size = { instruments: instruments || 300, years: years || 10, seed: seed || 1 }
const start = Date.now()
const { loaded } = prepareWorkshop(folder, 'demo', process.env.TAUT_DEMO_DATE ?? DEMO_DATE, size)
console.log(
  loaded
    ? `${size.instruments} instruments and ${size.years} years are laid out in ${folder}, in ${Math.round((Date.now() - start) / 1000)} s.`
    : `There is a house in ${folder} already; nothing was changed.`,
)
