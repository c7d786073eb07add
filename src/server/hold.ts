/**
 * One program a folder: whoever serves a house holds a lock on its folder, which the system gives back however the program ends.
 * The lock is SQLite’s own on a small file beside the house, so that it holds on every system that the house is kept on.
 */
import Database from 'better-sqlite3'
import { readFileSync, writeFileSync } from 'node:fs'
import path from 'node:path'

export interface Hold {
  release(): void
}

/**
 * @param folder - of the house; it must be there
 * @param who - whoever holds it, as it is told to the next who comes
 * @returns the hold, or who has it
 */
export function hold(folder: string, who: string): Hold | { readonly heldBy: string } {
  const told = path.join(folder, 'in-use.txt')
  const lock = new Database(path.join(folder, 'in-use.sqlite'), { timeout: 0 })
  try {
    lock.pragma('journal_mode = DELETE')
    lock.exec('BEGIN EXCLUSIVE')
  } catch (error) {
    lock.close()
    if ((error as { code?: string }).code !== 'SQLITE_BUSY') throw error
    return { heldBy: read(told) }
  }
  writeFileSync(told, who)
  return {
    release: () => {
      lock.close()
    },
  }
}

function read(file: string): string {
  try {
    return readFileSync(file, 'utf8').trim()
  } catch {
    return 'another program'
  }
}
