/**
 * Makes sure that a data folder holds a house: the Lantern Shelf is loaded where there is nothing yet.
 */
import { existsSync, mkdirSync, renameSync, rmSync } from 'node:fs'
import path from 'node:path'
import { houseSettings } from '../house/house'
import { openStore } from '../store/database'
import { house } from '../store/schema'
import { loadShelf } from './load-shelf'
import { readShelf } from './shelf-files'

export interface Prepared {
  readonly loaded: boolean
}

/**
 * Loads the demo beside the data folder and moves it into place when it is whole, so that a load that is cut off
 * leaves nothing behind.
 *
 * @param folder - of the database
 * @param demoFolder - of the open files
 * @param demoDate - the demo's today, or undefined for the machine's
 */
export function prepare(folder: string, demoFolder: string, demoDate: string | undefined): Prepared {
  const file = 'taut-pinset.sqlite'
  if (existsSync(path.join(folder, file))) return { loaded: false }
  const files = readShelf(demoFolder)
  const aside = `${folder.replace(/\/+$/, '')}.loading`
  rmSync(aside, { recursive: true, force: true })
  const dated = openStore({ folder: aside, demoDate })
  const today = dated.now()
  dated.close()
  let at = today
  const store = openStore({ folder: aside, machine: () => at, syncAtClose: true })
  store.act({ kind: 'house', summary: 'The house set up' }, () => {
    const { habits, ...row } = houseSettings(store)
    store.rows
      .insert(house)
      .values({ id: 1, ...row, habits: JSON.stringify(habits) })
      .run()
  })
  loadShelf(store, files, today, (time) => {
    at = time
  })
  store.close()
  mkdirSync(folder, { recursive: true })
  for (const name of [file, `${file}-wal`, `${file}-shm`]) {
    if (existsSync(path.join(aside, name))) renameSync(path.join(aside, name), path.join(folder, name))
  }
  rmSync(aside, { recursive: true, force: true })
  return { loaded: true }
}
