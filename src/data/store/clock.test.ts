import { mkdtempSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { HOUR } from '@/core/units/time'
import { openStore } from './database'
import { prepare } from '../demo/prepare'
import { todayView } from '../views/today'

const root = mkdtempSync(path.join(os.tmpdir(), 'taut-clock-'))
afterAll(() => rmSync(root, { recursive: true, force: true }))

test('the demo’s day is honoured, and a restart goes on from it', () => {
  const folder = path.join(root, 'a')
  let machine = new Date(2026, 2, 1, 15, 30).getTime()
  const open = (demoDate: string) => {
    const store = openStore({ folder, demoDate, machine: () => machine })
    const at = new Date(store.now())
    store.close()
    return [at.getFullYear(), at.getMonth() + 1, at.getDate(), at.getHours(), at.getMinutes()]
  }
  expect(open('2026-12-10')).toEqual([2026, 12, 10, 15, 30])
  expect(open('2026-12-10T19:30')).toEqual([2026, 12, 10, 19, 30])
  machine += 2 * HOUR
  expect(open('2026-12-10T19:30')).toEqual([2026, 12, 10, 21, 30])
  expect(() => open('soon')).toThrow('TAUT_DEMO_DATE: expected a date such as 2026-12-10')
})

test('the shelf is laid out once, relative to its day, so that something is always due', () => {
  const folder = path.join(root, 'b')
  expect(prepare(folder, 'demo', '2027-01-15T12:00')).toEqual({ loaded: true })
  expect(prepare(folder, 'demo', '2027-01-15T12:00')).toEqual({ loaded: false })
  const store = openStore({ folder, demoDate: '2027-01-15T12:00' })
  const view = todayView(store)
  expect(view.due.shown.filter((s) => s.nextAt! <= store.now()).length).toBeGreaterThan(2)
  expect(view.due.shown[0]).toMatchObject({ slipping: true, instrumentName: 'Lovage' })
  expect(view.jobs.shown.map((job) => [job.name, job.next])).toEqual([['5th-octave D', 'on the need list']])
  expect(view.ahead.map((date) => date.name)).toEqual(['Lantern walk', 'Midwinter concert'])
  store.close()
})
