/**
 * Writes the Lantern Shelf as open files into demo/: `npm run demo:write`.
 */
import { mkdirSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import Papa from 'papaparse'
import { chartLine } from '@/core/chart/chart-line'
import { designInstrument } from '@/core/instrument/design'
import { chartCsv } from '@/data/instruments/charts/chart-csv'
import { toInstrumentFile } from '@/data/instruments/instrument-file'
import { bistort } from './bistort'
import { borage } from './borage'
import { bryony } from './bryony'
import { catalogueCsv } from '@/data/buying/catalogue/catalogue-file'
import { catalogues, SUPPLIERS, SUPPLIES } from './catalogues'
import { chervil } from './chervil'
import { fennel } from './fennel'
import { historyLines, OCCASIONS } from './history'
import { lovage } from './lovage'
import { orris } from './orris'
import { sorrel } from './sorrel'
import { coilLines } from './stores'
import { teasel } from './teasel'
import { yarrow } from './yarrow'

const DESIGNS = [lovage, fennel, teasel, sorrel, bryony, chervil, bistort, borage, yarrow, orris]

/** Every file of the shelf by its path under demo/. */
export function shelfFiles(): ReadonlyMap<string, string> {
  const instruments = DESIGNS.map(designInstrument)
  const json = (value: unknown) => `${JSON.stringify(value, null, 1)}\n`
  return new Map([
    ...instruments.map((i) => [`instruments/${i.slug}.json`, json(toInstrumentFile(i))] as const),
    ...instruments.map((i) => [`charts/${i.slug}.csv`, chartCsv(i.positions.map(chartLine))] as const),
    ['coils.csv', `${Papa.unparse([...coilLines(instruments)], { newline: '\n' })}\n`],
    ...[...catalogues(instruments)].map(
      ([slug, items]) => [`catalogues/${slug}.csv`, catalogueCsv(items)] as const,
    ),
    ['suppliers.json', json(SUPPLIERS)],
    ['supplies.json', json(SUPPLIES)],
    ['history.json', json(historyLines())],
    ['occasions.json', json(OCCASIONS)],
  ])
}

if (process.argv[1]?.endsWith('write.ts')) {
  for (const [name, text] of shelfFiles()) {
    const file = path.join('demo', name)
    mkdirSync(path.dirname(file), { recursive: true })
    writeFileSync(file, text)
  }
}
