/** Files that are no house, or not one that can be gone on with: each told in a sentence, and left as it was. */
import Database from 'better-sqlite3'
import { chmodSync, mkdirSync, mkdtempSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import type { WorkshopTrouble } from '@/boundary/workshop-trouble'
import { closeWorkshop, workshopTrouble, openStore, store } from './database'
import { WORKSHOP_FILE } from './trouble'

const root = mkdtempSync(path.join(os.tmpdir(), 'taut-trouble-'))
afterAll(() => rmSync(root, { recursive: true, force: true }))

let count = 0
/** A folder with a whole house in it, closed. */
function workshop(): string {
  const folder = path.join(root, String((count += 1)))
  openStore({ folder }).close()
  return folder
}
const within = (folder: string, sql: string) => {
  const db = new Database(path.join(folder, WORKSHOP_FILE))
  db.exec(sql)
  db.close()
}

describe('is told, and nothing is touched', () => {
  test.each<[string, (folder: string) => void, RegExp]>([
    [
      'an empty file',
      (folder) => writeFileSync(path.join(folder, WORKSHOP_FILE), ''),
      /is empty: it holds no house/,
    ],
    [
      'words',
      (folder) => writeFileSync(path.join(folder, WORKSHOP_FILE), 'strings, gut\n'.repeat(900)),
      /is no house, or is spoilt/,
    ],
    [
      'a house with its first page scribbled over',
      (folder) => {
        const file = path.join(folder, WORKSHOP_FILE)
        const bytes = readFileSync(file)
        bytes.fill(7, 100, 4096)
        writeFileSync(file, bytes)
      },
      /is (no house, or is )?spoilt/,
    ],
    [
      'another program’s database',
      (folder) => {
        rmSync(path.join(folder, WORKSHOP_FILE))
        within(folder, 'CREATE TABLE bookmarks (id INTEGER)')
      },
      /belongs to another program/,
    ],
    [
      'a house of a newer version',
      (folder) =>
        within(
          folder,
          "INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('of tomorrow', 9999999999999)",
        ),
      /was written by a newer version/,
    ],
    [
      'a table that is gone',
      (folder) => within(folder, 'DROP TABLE tuning_round'),
      /lacks its table “tuning_round”/,
    ],
    [
      'a folder in its place',
      (folder) => {
        rmSync(path.join(folder, WORKSHOP_FILE))
        mkdirSync(path.join(folder, WORKSHOP_FILE))
      },
      /is a folder; the house’s file should lie there/,
    ],
  ])('%s', (_, spoil, said) => {
    const folder = workshop()
    spoil(folder)
    const bytes = () => {
      try {
        return readFileSync(path.join(folder, WORKSHOP_FILE)).toString('base64')
      } catch {
        return 'a folder'
      }
    }
    const before = bytes()
    let trouble: WorkshopTrouble | null = null
    try {
      openStore({ folder }).close()
    } catch (error) {
      trouble = error as WorkshopTrouble
    }
    expect(trouble).toMatchObject({ name: 'HouseTrouble' })
    expect(trouble?.message).toMatch(said)
    expect(trouble?.todo).toMatch(/^[A-Z].*\.$/)
    expect(bytes()).toBe(before)
  })

  test('a file where the folder should be', () => {
    const file = path.join(root, 'file')
    writeFileSync(file, '')
    expect(() => openStore({ folder: file })).toThrow(/is a file, not a folder/)
    expect(() => openStore({ folder: path.join(file, 'below') })).toThrow(/there is no folder/)
  })

  // Whoever may do everything is kept from nothing.
  const asRoot = process.getuid?.() === 0
  ;(asRoot ? test.skip : test)('a folder that can’t be written', () => {
    const folder = workshop()
    chmodSync(folder, 0o500)
    expect(() => openStore({ folder })).toThrow(/can’t be (written|opened)/)
    chmodSync(folder, 0o700)
  })
})

test('a house that is moved away is missed, and goes on when it is back', () => {
  const folder = workshop()
  process.env.TAUT_DATA = folder
  store()
  expect(workshopTrouble()).toBeNull()
  renameSync(folder, `${folder} elsewhere`)
  expect(workshopTrouble()?.sentence).toMatch(/The house is gone from/)
  // Nothing is laid where it was meanwhile.
  expect(workshopTrouble()?.sentence).toMatch(/The house is gone from/)
  renameSync(`${folder} elsewhere`, folder)
  expect(workshopTrouble()).toBeNull()
  closeWorkshop()
  delete process.env.TAUT_DATA
})

test('closed, a house lies whole in its one file', () => {
  const folder = path.join(root, 'one-file')
  const open = openStore({ folder })
  open.rows.$client.exec("INSERT INTO clock (demo_date, offset_ms) VALUES ('2026-01-01', 7)")
  open.close()
  const copy = path.join(root, 'copy.sqlite')
  writeFileSync(copy, readFileSync(path.join(folder, WORKSHOP_FILE)))
  const db = new Database(copy, { readonly: true })
  expect(db.prepare('SELECT offset_ms FROM clock').pluck().get()).toBe(7)
  db.close()
})
