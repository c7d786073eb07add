/** Killing the program in the middle of its writes loses no finished action and leaves no half one. */
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import Database from 'better-sqlite3'

const folder = mkdtempSync(path.join(os.tmpdir(), 'taut-crash-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))

test('three times killed, every finished action is whole', async () => {
  let finished: number[] = []
  for (const patience of [20, 60, 35]) {
    const writer = spawn(process.execPath, ['--import', 'tsx', 'scripts/crash-writer.ts', folder], {
      stdio: ['ignore', 'pipe', 'inherit'],
    })
    let said = ''
    await new Promise<void>((done) => {
      writer.stdout.on('data', (piece) => {
        said += String(piece)
        if (said.split('\n').length > patience) writer.kill('SIGKILL')
      })
      writer.on('exit', () => done())
    })
    finished = [...finished, ...said.split('\n').slice(0, -1).map(Number)]
  }
  const db = new Database(path.join(folder, 'taut-pinset.sqlite'), { readonly: true })
  const actions = new Set(
    (db.prepare('SELECT id FROM action').all() as { id: number }[]).map((row) => row.id),
  )
  expect(finished.length).toBeGreaterThan(100)
  expect(finished.filter((id) => !actions.has(id))).toEqual([])
  expect(db.prepare('SELECT count(*) AS n FROM coil WHERE left_mm <> 750').get()).toEqual({ n: 0 })
  expect(
    db.prepare('SELECT (SELECT count(*) FROM coil) - (SELECT count(*) FROM coil_cut) AS n').get(),
  ).toEqual({ n: 0 })
  expect(db.prepare('SELECT action_id FROM change GROUP BY action_id HAVING count(*) <> 3').all()).toEqual([])
  expect(db.pragma('integrity_check')).toEqual([{ integrity_check: 'ok' }])
  db.close()
}, 60_000)
