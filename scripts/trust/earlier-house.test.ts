/** A house of every earlier version opens: copied as it was first, whole afterwards, with everything it held. */
import Database from 'better-sqlite3'
import { mkdtempSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { backupFolder, backupsIn } from '@/data/backup/backups'
import { examined } from '@/data/backup/examined'
import { prepare } from '@/data/demo/prepare'
import { openStore } from '@/data/store/database'
import { WORKSHOP_FILE } from '@/data/store/trouble'
import { layEarlierWorkshop, migrations } from './earlier-house'

const root = mkdtempSync(path.join(os.tmpdir(), 'taut-earlier-'))
const shelf = path.join(root, 'shelf')
beforeAll(() => prepare(shelf, 'demo', '2026-11-24T10:00'))
afterAll(() => rmSync(root, { recursive: true, force: true }))

const countsIn = (folder: string) => {
  const db = new Database(path.join(folder, WORKSHOP_FILE), { readonly: true })
  try {
    const tables = db
      .prepare("SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'")
      .pluck()
      .all() as string[]
    return new Map(
      tables.map((name) => [name, db.prepare(`SELECT count(*) FROM "${name}"`).pluck().get() as number]),
    )
  } finally {
    db.close()
  }
}

test.each(migrations.slice(0, -1).map((tag, i) => [tag, i + 1] as const))(
  'as it was after %s',
  (tag, count) => {
    const folder = path.join(root, tag)
    layEarlierWorkshop(shelf, folder, count)
    const before = countsIn(folder)
    expect(before.get('string_position')).toBeGreaterThan(200)
    openStore({ folder }).close()
    expect(backupsIn(backupFolder(folder)).map(({ kind }) => kind)).toEqual(['before an update'])
    const after = countsIn(folder)
    for (const table of ['instrument', 'string_position', 'coil', 'string_break'])
      expect([table, after.get(table)]).toEqual([table, before.get(table)])
    expect(
      examined(folder).flatMap(({ what, isWrong, found }) =>
        isWrong && !['disk', 'history'].includes(what) ? [found] : [],
      ),
    ).toEqual([])
  },
)
