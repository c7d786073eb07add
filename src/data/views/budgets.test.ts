/**
 * What the pages read: as many statements on a large house as on a small one, and no scan of a table that grows with the
 * years. Two workshops are laid out, one of more than twice the instruments and three times the history.
 */
import { mkdtempSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { closedInList, openInList } from '../buying/orders'
import { suggestedNeeds } from '../buying/suggested-needs'
import { prepareWorkshop } from '../demo/prepare'
import { stringLives } from '../fitted/lives'
import { settlingStrings } from '../fitted/settling'
import { roundBench } from './round-view'
import { settlingCurves, visitsUntil } from './settling-view'
import { findString } from '../instruments/find-string'
import { allInstruments, instrumentBySlug } from '../instruments/instruments'
import { jobById } from '../jobs/job'
import { logBreak } from '../jobs/log-break'
import { jobsTogether } from '../jobs/jobs-together'
import { workshopLearned } from '../jobs/learned'
import { openJobs } from '../jobs/open-jobs'
import { openStore, type Store } from '../store/database'
import { stringsToCut } from '../stores/cutting'
import { freeFor } from '../stores/set-aside'
import { drawnOffers, offersAt, sparesOf } from '../stores/spares'
import { anchorGut } from '../stores/supplies'
import { actionsLog } from './actions-log'
import { buyingBench } from './buying-bench'
import { pastFittings } from './fitting-history'
import { instrumentView } from './instrument-view'
import { shelfView } from './shelf-view'
import { coilsPage, coilView, packetLabels } from './stores-view'
import { todayView } from './today'
import { beforeDate } from './before-date'
import { practiceView } from './practice-view'
import { restringView } from './restring-view'
import { wearOf } from './wear-of-instrument'
import { wearShelf } from './wear-shelf'

const root = mkdtempSync(path.join(os.tmpdir(), 'taut-budgets-'))
const DATE = '2026-11-24T10:00'

interface Workshop {
  readonly store: Store
  readonly heard: string[]
}

function lay(instruments: number, years: number): Workshop {
  const folder = path.join(root, `${instruments}`)
  prepareWorkshop(folder, 'demo', DATE, { instruments, years, seed: 7 })
  const heard: string[] = []
  // Whether another connection wrote is asked all the time, and reads nothing.
  const store = openStore({
    folder,
    demoDate: DATE,
    heard: (sql) => {
      if (!sql.startsWith('PRAGMA')) heard.push(sql)
    },
  })
  logBreak(store, allInstruments(store)[3]!, 5, 'knot')
  return { heard, store }
}

let small: Workshop
let large: Workshop
beforeAll(() => {
  small = lay(10, 1)
  large = lay(24, 3)
}, 120_000)
afterAll(() => {
  small.store.close()
  large.store.close()
  rmSync(root, { recursive: true, force: true })
})

const first = (store: Store) => allInstruments(store)[0]!
const ANY = { find: '', family: null, needs: null, page: 0 } as const
const COILS = { look: 'gut', material: null, openedOnly: false, by: 'label', down: false, page: 0 } as const

/** Pages by what they read, and the most statements that one may take when nothing is kept yet. */
const PAGES: readonly (readonly [name: string, most: number, read: (store: Store) => unknown])[] = [
  ['Today', 60, (store) => todayView(store)],
  ['the year ahead', 60, (store) => wearShelf(store)],
  ['an instrument as it wears', 70, (store) => wearOf(store, first(store))],
  ['practice', 40, (store) => practiceView(store, '', undefined)],
  ['a restring', 60, (store) => restringView(store, first(store))],
  ['before a date', 90, (store) => beforeDate(store, null, first(store).instrument.slug)],
  ['the shelf', 12, (store) => shelfView(store, { ...ANY, needs: 'retune' })],
  [
    'an instrument',
    30,
    (store) => {
      const stored = instrumentBySlug(store, first(store).instrument.slug)
      return [instrumentView(store, stored), sparesOf(store, stored)]
    },
  ],
  ['the stores', 20, (store) => coilsPage(store, COILS)],
  ['a coil', 20, (store) => coilView(store, 1)],
  ['labels', 12, (store) => packetLabels(store, { ids: null, look: 'gut', page: 0 })],
  ['the cutting plan', 24, (store) => stringsToCut(store)],
  ['the need list', 30, (store) => suggestedNeeds(store)],
  ['the buying', 20, (store) => buyingBench(store)],
  ['orders', 2, (store) => [openInList(store), closedInList(store, 20, null)]],
  ['fittings', 16, (store) => [pastFittings(store, 2), workshopLearned(store)]],
  ['the history', 4, (store) => actionsLog(store, 100, {})],
  [
    'the history of an instrument',
    4,
    (store) => actionsLog(store, 100, { instrumentId: 3, kind: 'breaks', until: store.now() }),
  ],
  [
    'a job’s coil',
    40,
    (store) => {
      const { jobId, instrument, position, habits } = jobById(store, openJobs(store)[0]!.id)
      return drawnOffers(store, offersAt(freeFor(store, jobId), instrument, position, habits))
    },
  ],
  ['a job with others', 40, (store) => jobsTogether(store, openJobs(store)[0]!.id)],
  [
    'an instrument tuned string by string',
    12,
    (store) => roundBench(store, allInstruments(store)[0]!.instrument.slug),
  ],
  ['settling', 12, (store) => settlingStrings(store)],
  ['settling as its place shows it', 16, (store) => settlingCurves(store)],
  ['the visits until a date', 16, (store) => visitsUntil(store, null)],
  ['the find box', 8, (store) => findString(store, 'G4', first(store).instrument.slug)],
  ['small things', 8, (store) => anchorGut(store)],
]

function heardOf({ store, heard }: Workshop, read: (store: Store) => unknown): readonly string[] {
  store.cache.forget()
  // Lives are read once, when they are first asked for; from then on they follow what is written.
  stringLives(store)
  heard.length = 0
  read(store)
  return [...heard]
}

/** Tables that grow with every year of work. */
const GROWING =
  /^SCAN (action|change|job|fitting|fitted_string|fitted_position|coil_cut|coil|cents_reading|order_line|purchase_order|string_break|job_step|job_measure|job_mishap|parked_tail|need|ordered_need|answered_request)\b(?!.*coil_on_shelf)/

test.each(PAGES)('%s reads as much of a large house as of a small one, by an index', (_, most, read) => {
  const [few, many] = [heardOf(small, read), heardOf(large, read)]
  expect(many.length).toBeLessThanOrEqual(most)
  // Some more rows may be read one by one, for open jobs and the like; nothing by instrument or by year.
  expect(many.length - few.length).toBeLessThanOrEqual(16)
  for (const sql of many.filter((one) => /^select/i.test(one))) {
    const plan = large.store.rows.$client.prepare(`EXPLAIN QUERY PLAN ${sql}`).all() as readonly {
      readonly detail: string
    }[]
    // What is limited ends where enough is found.
    if (/\blimit\b/i.test(sql)) continue
    for (const { detail } of plan) expect([sql, detail]).not.toEqual([sql, expect.stringMatching(GROWING)])
  }
})

test('of all lives only those of strings that were written are read again', () => {
  const { store, heard } = large
  stringLives(store)
  heard.length = 0
  logBreak(store, allInstruments(store)[2]!, 4, 'knot')
  stringLives(store)
  const reads = heard.filter((sql) => /group by "fitted_string"."id"/.test(sql))
  expect(reads).toHaveLength(1)
  expect(reads[0]).toMatch(/"fitted_string"."id" in \(/)
})

test('what was read once is not read again until it is written', () => {
  for (const [, , read] of PAGES) read(large.store)
  large.heard.length = 0
  todayView(large.store)
  expect(large.heard.filter((sql) => /cents_reading|string_position|"house"/.test(sql))).toEqual([])
})
