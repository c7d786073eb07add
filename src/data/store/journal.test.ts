/** The journal by itself: what it keeps, what it gives back, what it refuses. */
import { mkdtempSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import Database from 'better-sqlite3'
import { asc, eq } from 'drizzle-orm'
import { actionsLog } from '../views/actions-log'
import { openStore, type Store } from './database'
import { actions, changes, occasions } from './schema'

const folder = mkdtempSync(path.join(os.tmpdir(), 'taut-journal-'))
let now = 1_000_000
let store: Store

beforeEach(() => {
  rmSync(folder, { recursive: true, force: true })
  store = openStore({ folder, machine: () => now })
})
afterEach(() => store.close())
afterAll(() => rmSync(folder, { recursive: true, force: true }))

const add = (name: string, at = 1) =>
  store.act(
    { kind: 'date', summary: `${name} set` },
    () => store.rows.insert(occasions).values({ name, at }).returning({ id: occasions.id }).get().id,
  )
const move = (id: number, at: number) =>
  store.act({ kind: 'date', summary: `Moved to ${at}` }, () => {
    store.rows.update(occasions).set({ at }).where(eq(occasions.id, id)).run()
  })
const drop = (id: number) =>
  store.act({ kind: 'date', summary: 'Dropped' }, () => {
    store.rows.delete(occasions).where(eq(occasions.id, id)).run()
  })
const dates = () =>
  store.rows
    .select()
    .from(occasions)
    .orderBy(asc(occasions.id))
    .all()
    .map((row) => [row.name, row.at])

test('each row is kept before and after, under its action and its time', () => {
  const { result: id, actionId } = add('Walk')
  now += 500
  move(id, 7)
  const kept = store.rows.select().from(changes).orderBy(asc(changes.id)).all()
  expect(
    kept.map((change) => [
      change.before && JSON.parse(change.before),
      change.after && JSON.parse(change.after),
    ]),
  ).toEqual([
    [null, { id, name: 'Walk', at: 1, hours: null, instruments: '[]' }],
    [
      { id, name: 'Walk', at: 1, hours: null, instruments: '[]' },
      { id, name: 'Walk', at: 7, hours: null, instruments: '[]' },
    ],
  ])
  expect(kept[0]?.actionId).toBe(actionId)
  expect(
    store.rows
      .select()
      .from(actions)
      .all()
      .map((action) => action.at),
  ).toEqual([1_000_000, 1_000_500])
  now = 1_000_000
})

test('adding, moving and dropping are each undone, and each undoing can be undone', () => {
  const { result: id, actionId: added } = add('Walk')
  const moved = move(id, 7).actionId
  const dropped = drop(id).actionId
  expect(dates()).toEqual([])
  const back = store.undo(dropped).actionId
  expect(dates()).toEqual([['Walk', 7]])
  store.undo(back)
  expect(dates()).toEqual([])
  store.undo(actionsLog(store, 1, { steps: true }).actions[0]!.id)
  store.undo(moved)
  expect(dates()).toEqual([['Walk', 1]])
  store.undo(added)
  expect(dates()).toEqual([])
})

test('what was changed since is not trampled on', () => {
  const { result: id, actionId: added } = add('Walk')
  const first = move(id, 7).actionId
  const second = move(id, 9).actionId
  expect(() => store.undo(first)).toThrow(
    '“Moved to 7” can’t be undone by itself: what it wrote was changed later.',
  )
  expect(() => store.undo(added)).toThrow('Undo the later action first.')
  expect(dates()).toEqual([['Walk', 9]])
  store.undo(second)
  store.undo(first)
  expect(dates()).toEqual([['Walk', 1]])
})

test('an action that fails halfway leaves nothing, neither its rows nor itself', () => {
  add('Walk')
  const before = store.rows.select().from(actions).all().length
  expect(() =>
    store.act({ kind: 'date', summary: 'Two at once' }, () => {
      store.rows.insert(occasions).values({ name: 'Concert', at: 2 }).run()
      throw new Error('the lamp went out')
    }),
  ).toThrow('the lamp went out')
  expect(dates()).toEqual([['Walk', 1]])
  expect(store.rows.select().from(actions).all()).toHaveLength(before)
  add('Concert', 2)
  expect(dates()).toEqual([
    ['Walk', 1],
    ['Concert', 2],
  ])
})

test('one action inside another is a fault', () => {
  expect(() => store.act({ kind: 'a', summary: 'Outer' }, () => add('Inner'))).toThrow('one action at a time')
  expect(dates()).toEqual([])
})

test('an undone action can’t be undone twice; the log says which are undone', () => {
  const { actionId } = add('Walk')
  store.undo(actionId)
  expect(() => store.undo(actionId)).toThrow('“Walk set” is undone already.')
  expect(
    actionsLog(store, 5, { steps: true }).actions.map((action) => [action.summary, action.undone]),
  ).toEqual([
    ['Undone: Walk set', false],
    ['Walk set', true],
  ])
})

test('the file is in WAL mode, its keys are enforced, and opening it again changes nothing', () => {
  add('Walk')
  store.close()
  store = openStore({ folder, machine: () => now })
  expect(dates()).toEqual([['Walk', 1]])
  const raw = new Database(path.join(folder, 'taut-pinset.sqlite'), { readonly: true })
  expect(raw.pragma('journal_mode', { simple: true })).toBe('wal')
  expect(raw.prepare('SELECT count(*) AS n FROM __drizzle_migrations').get()).toEqual({ n: 34 })
  raw.close()
  expect(() =>
    store.act({ kind: 'x', summary: 'A cut of no coil' }, () =>
      store.rows.$client.prepare('INSERT INTO coil_cut (coil_id, at, length_mm) VALUES (99, 1, 5)').run(),
    ),
  ).toThrow('FOREIGN KEY')
})
