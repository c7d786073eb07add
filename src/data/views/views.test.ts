/** What the screens are given, over the demo as it is laid out. */
import { mkdtempSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { DEFAULT_HABITS } from '@/core/fitting/habits'
import { positionAt } from '@/core/instrument/instrument'
import { HOUR } from '@/core/units/time'
import { openCoils } from '../stores/coils'
import { openStore, type Store } from '../store/database'
import { prepare } from '../demo/prepare'
import { changeWorkshop, workshopSettings } from '../workshop/settings'
import { addOccasions } from '../workshop/occasions'
import { instrumentView } from './instrument-view'
import { instrumentBySlug } from '../instruments/instruments'
import { openNeeds } from '../buying/need-list'
import { orderDetailsFor } from '../buying/order-details'
import { holdsFrom, settlingStrings } from '../fitted/settling'
import { shelfView, type ShelfAsked } from './shelf-view'
import { sortedOut } from '@/core/stores/offers'
import { offersAt, sparesIn } from '../stores/spares'
import { todayView } from './today'

const root = mkdtempSync(path.join(os.tmpdir(), 'taut-views-'))
let store: Store
beforeAll(() => {
  prepare(path.join(root, 'data'), 'demo', '2026-11-24T10:00')
  store = openStore({ folder: path.join(root, 'data'), demoDate: '2026-11-24T10:00' })
})
afterAll(() => {
  store.close()
  rmSync(root, { recursive: true, force: true })
})

const lovage = () => instrumentBySlug(store, 'lovage')

/** Nothing is looked for. */
const ANY: ShelfAsked = { find: '', family: null, needs: null, page: 0 }

test('the shelf shows what is broken, and finds by name, owner, family and what needs a hand', () => {
  expect(
    shelfView(store, ANY)
      .entries.filter(({ broken }) => broken.length > 0)
      .map(({ instrument, broken }) => [instrument.name, broken]),
  ).toEqual([['Fennel', [25]]])
  expect(shelfView(store, ANY).entries).toHaveLength(10)
  const found = (asked: Partial<ShelfAsked>) =>
    shelfView(store, { ...ANY, ...asked }).entries.map(({ instrument }) => instrument.name)
  expect(found({ needs: 'broken' })).toEqual(['Fennel'])
  expect(found({ find: ' town ORCH' })).toEqual(['Lovage'])
  expect(found({ family: 'lyre' })).toEqual(['Borage'])
  expect(found({ needs: 'retune', family: 'pedal harp' })).toEqual(['Lovage'])
  expect(found({ find: 'no such' })).toEqual([])
})

test('every position has its string but the broken one, and its history, newest first', () => {
  for (const { instrument } of shelfView(store, ANY).entries) {
    const view = instrumentView(store, instrumentBySlug(store, instrument.slug))
    for (const p of instrument.positions) {
      const here = view.positions[p.number]!
      expect(here.on === null).toBe(view.broken.includes(p.number))
      expect(here.history.length).toBeGreaterThan(0)
      const times = here.history.map((entry) => entry.at)
      expect(times).toEqual([...times].sort((a, b) => b - a))
    }
  }
})

test('a position that broke four times at its bridge pin says so', () => {
  const { history } = instrumentView(store, lovage()).positions[12]!
  expect(history.filter((entry) => entry.what === 'broke').map((entry) => entry.text)).toEqual(
    Array.from({ length: 4 }, () => 'At the bridge pin'),
  )
  expect(history.filter((entry) => entry.what === 'fitted')).toHaveLength(5)
})

test('spares name the coil to cut, the best one first, and never one that is too short', () => {
  const { instrument } = lovage()
  const spares = sparesIn(sortedOut(openCoils(store)), instrument, DEFAULT_HABITS)
  expect(spares[22]).toBe('Packet 8, Drawer A3: one cut')
  expect(spares[41]).toMatch(/nothing long enough|next gauge/)
  for (const p of instrument.positions) {
    const [best] = offersAt(sortedOut(openCoils(store)), instrument, p, DEFAULT_HABITS)
    if (best && best.leaves >= 0) expect(spares[p.number]).toContain(best.coil.label)
    else expect(spares[p.number]).toBe('nothing long enough that fits')
  }
})

test('an order says every name, what it is made of, and for which instrument', () => {
  const { instrument } = lovage()
  const lines = (number: number, unit: 'mm' | 'in') =>
    Object.fromEntries(
      orderDetailsFor(instrument, positionAt(instrument, number), DEFAULT_HABITS, {
        unit,
        gaugesInThou: false,
      }),
    )
  expect(lines(22, 'mm')).toEqual({
    'Say it': 'Windrush Bench, Great Lantern 47, 3rd-octave G, gut, concert tension',
    Note: '3rd-octave G, octaves counted E to F from the treble; G4 in scientific pitch',
    'Sounds at rest': 'G-flat 4, 370.0 Hz',
    Number: '22 from the top of 47',
    'Make and line': 'Fold & Fell Amber twist',
    Material: 'gut',
    Gauge: '1.24 mm',
    Colour: 'natural',
    'Tension class': 'concert',
    End: 'plain',
    Length: 'at least 620 mm',
    Instrument: 'Windrush Bench, Great Lantern 47, as its owner wrote them',
  })
  expect(lines(40, 'mm').Gauge).toMatch(/^1\.47 mm; core 0\.71 mm, wrap 0\.28 mm$/)
  expect(lines(22, 'in').Gauge).toBe('0.049 in')
})

test('the need list carries the broken string of Fennel', () => {
  expect(openNeeds(store).map((need) => need.string)).toEqual(['5th-octave D of Fennel'])
})

test('settling strings come in the order they fall due, each with a plan of rising times', () => {
  const settling = settlingStrings(store)
  const at = settling.map((s) => s.nextAt ?? Infinity)
  expect(at).toEqual([...at].sort((a, b) => (a === b ? 0 : a - b)))
  for (const s of settling) {
    expect(s.planAt[0] ?? null).toBe(s.nextAt)
    expect(s.planAt).toEqual([...s.planAt].sort((a, b) => a - b))
    expect(s.expectedNow).toBeLessThanOrEqual(0)
    expect(s.lastTunedAt).toBeLessThanOrEqual(store.now())
  }
})

test('nylon asks to be retuned sooner than gut of the same age, and wire far later', () => {
  const interval = (slug: string, number: number) => {
    const s = settlingStrings(store).find((one) => one.slug === slug && one.position.number === number)!
    // What holds from here on is due in no time that anyone waits for.
    return ((s.nextAt ?? Infinity) - s.lastTunedAt) / (s.lastTunedAt - s.fitted.fittedAt + 0.05 * HOUR)
  }
  expect(interval('fennel', 11)).toBeLessThan(interval('lovage', 10))
  expect(interval('teasel', 9)).toBeGreaterThan(20 * interval('lovage', 10))
})

test('a date ahead names the string that slips, and no other', () => {
  expect(todayView(store).ahead.map((date) => date.notReady.shown)).toEqual([
    ['1st-octave A of Lovage'],
    ['1st-octave A of Lovage'],
  ])
})

test('a date that lasts longer asks that strings hold for longer', () => {
  const { holdsWithinCents } = workshopSettings(store)
  const fresh = settlingStrings(store).find(
    (s) => !s.slipping && (holdsFrom(s, holdsWithinCents, 24) ?? 0) > store.now(),
  )!
  const at = holdsFrom(fresh, holdsWithinCents, 24)! - HOUR
  const notReadyFor = (hours: number) => {
    const { actionId } = addOccasions(store, [{ name: 'A date', at, hours, instruments: [fresh.slug] }])
    const ahead = todayView(store, true).ahead.find(({ name }) => name === 'A date')!
    store.undo(actionId)
    return ahead.notReady.shown
  }
  expect(notReadyFor(24)).toContain(`${fresh.name} of ${fresh.instrumentName}`)
  expect(notReadyFor(0.25)).not.toContain(`${fresh.name} of ${fresh.instrumentName}`)
})

test('a narrower tolerance brings every retune forward', () => {
  const before = settlingStrings(store).map((s) => [s.fitted.id, s.positionId, s.nextAt] as const)
  const { actionId } = changeWorkshop(store, { retuneAtCents: 5 })
  for (const s of settlingStrings(store)) {
    const then = before.find(([fitted, position]) => fitted === s.fitted.id && position === s.positionId)!
    // What slipped is due at once, however much is let pass.
    if (s.slipping) expect(s.nextAt).toBe(then[2])
    else if (s.nextAt !== null) expect(s.nextAt).toBeLessThan(then[2] ?? Infinity)
  }
  store.undo(actionId)
  expect(workshopSettings(store).retuneAtCents).toBe(15)
})
