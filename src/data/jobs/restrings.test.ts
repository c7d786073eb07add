/** Restrings on a real database: begun by a plan, gone through go by go, undone, refused. */
import { eq } from 'drizzle-orm'
import { mkdtempSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { sentenceOf } from '@/boundary/sentence-of'
import { Batches } from '@/core/restring/batch'
import { restringBench } from '@/core/restring/bench-of'
import { goesFromBare } from '@/core/restring/from-bare'
import { planRestring } from '@/core/restring/plan'
import { prepare } from '../demo/prepare'
import { changeWorkshop, workshopSettings } from '../workshop/settings'
import { copyInstrument, removeString } from '../instruments/change-strings'
import { instrumentBySlug } from '../instruments/instruments'
import { cuttingBenchFor } from '../stores/cutting'
import { takeInHand } from '../stores/in-hand'
import { freeCoils } from '../stores/set-aside'
import { invoiceCsv, restringReport } from '../views/restring-report'
import { tension } from '@/core/strings/tension'
import { restPitch } from '@/core/instrument/instrument'
import { openStore, type Store } from '../store/database'
import { jobs } from '../store/schema'
import { markStep } from './job-steps'
import { finishJob } from './finish-job'
import { jobById } from './job'
import { jobsTogether } from './jobs-together'
import { beginRestring, endRestring, lastRestring, nextGo } from './restrings'

const root = mkdtempSync(path.join(os.tmpdir(), 'taut-restring-'))
let store: Store
beforeAll(() => {
  const folder = path.join(root, 'data')
  prepare(folder, 'demo', '2026-11-24T10:00')
  store = openStore({ folder, demoDate: '2026-11-24T10:00' })
})
afterAll(() => {
  store.close()
  rmSync(root, { recursive: true, force: true })
})

const on = (slug: string) => instrumentBySlug(store, slug)
const goesOf = (slug: string, numbers = on(slug).instrument.positions.map(({ number }) => number)) =>
  planRestring(restringBench(on(slug).instrument, numbers, workshopSettings(store)))!.batches.map(
    ({ ids }) => ids,
  )
const asked = (goes: readonly (readonly number[])[]) =>
  ({
    goes,
    way: 'least time',
    sessionMinutes: 120,
    withMissing: true,
    fromBare: false,
    people: [],
    cuts: [],
  }) as const
/** As the last step of each job does it. */
const finish = (jobId: number) =>
  store.act({ kind: 'job', summary: 'fitted' }, () => {
    for (const one of jobsTogether(store, jobId))
      store.rows.update(jobs).set({ finishedAt: store.now() }).where(eq(jobs.id, one.jobId)).run()
  })

test('a restring goes on go by go, in the order of its plan, and nothing else comes off before a go is done', () => {
  const goes = goesOf('chervil')
  const { result, actionId } = beginRestring(store, on('chervil'), asked(goes))
  const opened = jobsTogether(store, result.jobId)
  expect(opened.map(({ position }) => position.number)).toEqual(goes[0])
  expect(opened[0]?.context.state.restring).toBe(goes[0]!.length > 1 ? 'go by go' : null)
  const standing = () =>
    lastRestring(store, on('chervil'))!.pieces.find(({ id }) => id === goes[0]![0])!.stand
  expect(standing()).toBe('old')
  for (const [step, stand] of [
    ['take-off', 'off'],
    ['wind', 'slack'],
    ...(goes[0]!.length > 1 ? [['to-half', 'half'] as const] : []),
    ['to-pitch', 'new'],
  ] as const) {
    markStep(store, result.jobId, step, true)
    expect(standing()).toBe(stand)
  }
  expect(sentenceOf(() => nextGo(store, on('chervil')))).toMatch(/not done yet/)
  expect(sentenceOf(() => beginRestring(store, on('chervil'), asked(goes)))).toMatch(/is going on/)
  // Undone and done again nothing of it is lost.
  store.undo(actionId)
  expect(lastRestring(store, on('chervil'))).toBeNull()
  let jobId = beginRestring(store, on('chervil'), asked(goes)).result.jobId
  goes.forEach((ids, go) => {
    expect(jobsTogether(store, jobId).map(({ position }) => position.number)).toEqual(ids)
    finish(jobId)
    const { pieces } = lastRestring(store, on('chervil'))!
    expect(pieces.filter(({ isDone }) => isDone)).toHaveLength(goes.slice(0, go + 1).flat().length)
    if (go < goes.length - 1) jobId = nextGo(store, on('chervil')).result.jobId
  })
  expect(sentenceOf(() => nextGo(store, on('chervil')))).toMatch(/All its strings are on/)
  endRestring(store, on('chervil'))
  expect(lastRestring(store, on('chervil'))?.endedAt).not.toBeNull()
  expect(jobById(store, jobId).context.state.restring).toBeNull()
})

test('a wire that is two strings is one piece, and both its strings are in its job', () => {
  const goes = goesOf('teasel', [1, 2, 5, 6])
  const { result, actionId } = beginRestring(store, on('teasel'), asked(goes))
  expect(goes.flat()).toHaveLength(2)
  expect(jobsTogether(store, result.jobId)).toHaveLength(goes[0]!.length)
  store.undo(actionId)
})

test('a string that a restring is to come to is not taken away under it', () => {
  const { slug } = copyInstrument(store, 'bistort', 'Bistort again')
  const { actionId } = beginRestring(store, on(slug), asked([[1], [2]]))
  // Nothing happened to the second yet.
  expect(sentenceOf(() => removeString(store, slug, 2))).toMatch(/has a history/)
  store.undo(actionId)
  removeString(store, slug, 2)
  expect(on(slug).instrument.positions).toHaveLength(11)
})

test('its owner is told what was changed, the load before and after, and when to come back', () => {
  const goes = goesOf('fennel', [1, 2])
  const stored = () => on('fennel')
  let jobId = beginRestring(store, stored(), asked(goes)).result.jobId
  const finishGo = (first: number) => {
    for (const one of jobsTogether(store, first)) {
      takeInHand(store, one.jobId, { gauge: null, length: 2 })
      finishJob(store, one.jobId, { cut: one.figures.cut.total, wraps: 3, gauge: null })
    }
  }
  finishGo(jobId)
  if (goes.length > 1) {
    jobId = nextGo(store, stored()).result.jobId
    finishGo(jobId)
  }
  endRestring(store, stored())
  const report = restringReport(store, stored())
  expect(report.changed.map(({ number }) => number)).toEqual([1, 2])
  expect(report.notChanged).toEqual([])
  for (const { before, after } of report.changed) {
    expect(before?.what).toMatch(/^nylon 6\.12, \d\.\d\d mm$/)
    expect(after.what).toBe(before?.what)
  }
  // The strings that are on now are those of the chart.
  const { instrument } = stored()
  const charted = instrument.positions.reduce(
    (sum, p) => sum + tension(p.construction, p.speakingLength, restPitch(instrument, p)),
    0,
  )
  expect(report.loadAfter).toBeCloseTo(charted, 6)
  expect(report.loadBefore).toBeCloseTo(report.loadAfter, 6)
  expect(report.comeBack).toBeGreaterThan(store.now())
  expect(report.holdsFrom).toBeGreaterThan(report.comeBack!)
  const lines = invoiceCsv(store, stored()).trim().split('\n')
  expect(lines[0]).toBe('What,Count,Each,Amount,Money')
  expect(lines.at(-1)).toMatch(/^"work, h",0\.70,30\.00,21\.00,EUR$/)
})

describe('what can’t be worked in is refused in a sentence, and nothing is begun', () => {
  const all = () => on('borage').instrument.positions.map(({ number }) => number)
  test.each<[string, () => readonly (readonly number[])[], RegExp]>([
    ['a string twice', () => [[1], [2], [1]], /is in the order twice/],
    [
      'too much at once',
      () => [all().slice(0, 7), all().slice(7)],
      /the frame would carry \d+ % of its load; the house wants 85 %/,
    ],
    ['no string', () => [[1], []], /A go without a string/],
    ['a string that is not there', () => [[1, 99]], /there is no string 99/],
  ])('%s', (_, goes, said) => {
    expect(sentenceOf(() => beginRestring(store, on('borage'), asked(goes())))).toMatch(said)
    expect(lastRestring(store, on('borage'))).toBeNull()
  })

  test('a layer that can’t be reached, and one that goes on before what it lies over', () => {
    const covered = new Batches(
      restringBench(on('yarrow').instrument, [1, 2, 3, 4, 5, 6, 7], workshopSettings(store)),
    )
    const { id, over } = covered.bench.changed.find((piece) => piece.over.length > 0)!
    const others = [1, 2, 3, 4, 5, 6, 7].filter((number) => number !== id)
    expect(sentenceOf(() => beginRestring(store, on('yarrow'), asked([[id], others])))).toMatch(
      /lies over .*: they come off in the same go/,
    )
    const first = over[0] as number
    const rest = others.filter((number) => number !== first)
    expect(sentenceOf(() => beginRestring(store, on('yarrow'), asked([[first, id, ...rest]])))).toMatch(
      /goes on first/,
    )
  })

  test('strings that are missing from the stores, unless one says so', () => {
    const goes = goesOf('borage')
    expect(
      sentenceOf(() => beginRestring(store, on('borage'), { ...asked(goes), withMissing: false })),
    ).toMatch(/9 strings are missing/)
  })
})

test('a bare instrument is strung from its lowest string, nothing is taken off, and each has its own hands and packet', () => {
  const stored = on('chervil')
  const batches = new Batches(
    restringBench(
      stored.instrument,
      stored.instrument.positions.map(({ number }) => number),
      workshopSettings(store),
    ),
  )
  const goes = goesFromBare(stored.instrument, batches, 120)
  expect(goes[0]![0]).toBe(stored.instrument.positions.length)
  const bench = cuttingBenchFor(store, stored, goes.flat())
  // The last to go on, so that its coil waits for it.
  const cut = bench.jobs.findLast(({ options }) => options.length > 0)!
  const cuts = [{ id: cut.id, coilId: cut.options[0]!.coilId }]
  const [ann, ben] = ['Ann', 'Ben']
  expect(
    sentenceOf(() =>
      beginRestring(store, stored, { ...asked(goes), fromBare: true, people: [ann, ben], cuts }),
    ),
  ).toBe('Nobody of the house is called Ann.')
  changeWorkshop(store, { people: [ann, ben] })
  const before = freeLeft(cuts[0]!.coilId)
  const { result } = beginRestring(store, stored, {
    ...asked(goes),
    way: null,
    fromBare: true,
    people: [ann, ben],
    cuts,
  })
  const first = jobsTogether(store, result.jobId)
  expect(first.map(({ position }) => position.number)).toEqual(goes[0])
  for (const { steps } of first) {
    const keys = steps.map(({ key }) => key)
    expect(keys).not.toContain('take-off')
    expect(keys.indexOf('to-half')).toBeGreaterThan(keys.indexOf('wind'))
    expect(keys.indexOf('to-half')).toBeLessThan(keys.indexOf('to-pitch'))
  }
  const { pieces, fromBare } = lastRestring(store, stored)!
  expect(fromBare).toBe(true)
  expect(new Set(pieces.map(({ hands }) => hands))).toEqual(new Set([ann, ben]))
  expect(new Set(pieces.map(({ stand }) => stand))).toEqual(new Set(['off']))
  expect(pieces.find(({ id }) => id === cut.id)?.packet).not.toBeNull()
  // What its plan cuts later is free for nobody else.
  expect(before - freeLeft(cuts[0]!.coilId)).toBeCloseTo(cut.options[0]!.length, 6)
  finish(result.jobId)
  nextGo(store, stored)
  // Given up, it keeps nothing for itself.
  endRestring(store, stored)
  expect(freeLeft(cuts[0]!.coilId)).toBeCloseTo(before, 6)
})

test('on bare feet what lies over a string goes on after it, whichever go each is in', () => {
  const stored = on('yarrow')
  const bare = {
    ...asked([
      [7, 6, 5],
      [4, 3],
      [2, 1],
    ]),
    fromBare: true,
  }
  expect(
    sentenceOf(() =>
      beginRestring(store, stored, {
        ...bare,
        goes: [
          [4, 7],
          [6, 5, 3, 2, 1],
        ],
      }),
    ),
  ).toMatch(/lies over .* goes on first/)
  expect(sentenceOf(() => beginRestring(store, stored, { ...bare, goes: [[7, 6]] }))).toMatch(
    /all strings are strung/,
  )
  const { result, actionId } = beginRestring(store, stored, bare)
  const [first] = jobsTogether(store, result.jobId)
  expect(first!.steps.map(({ key }) => key)).toEqual(
    expect.arrayContaining(['peg-cord', 'wrap-foot', 'to-half', 'to-pitch']),
  )
  store.undo(actionId)
})

test('a plan of cuts that the stores can’t carry out is refused', () => {
  const stored = on('borage')
  const goes = goesOf('borage')
  const bench = cuttingBenchFor(store, stored, goes.flat())
  const { id, options } = bench.jobs.find((job) => job.options.length > 0)!
  for (const cuts of [
    [{ id, coilId: 99_999 }],
    [
      { id, coilId: options[0]!.coilId },
      { id, coilId: options[0]!.coilId },
    ],
  ])
    expect(sentenceOf(() => beginRestring(store, stored, { ...asked(goes), cuts }))).toMatch(
      /The stores have changed/,
    )
})

const freeLeft = (id: number) => freeCoils(store).find((coil) => coil.id === id)?.lengthLeft ?? NaN
