/**
 * Makes sure that a data folder holds a house: the Lantern Shelf, or a large workshop, is laid out where there is nothing yet.
 */
import { existsSync, mkdirSync, renameSync, rmSync } from 'node:fs'
import path from 'node:path'
import { workshopRow, workshopSettings } from '../workshop/settings'
import { openStore, type Store } from '../store/database'
import { house } from '../store/schema'
import { layWorkshop, type WorkshopSize } from './workshop/lay-workshop'
import { loadShelf } from './load-shelf'
import { readShelf } from './shelf-files'

export interface Prepared {
  readonly loaded: boolean
}

/**
 * Loads the demo, where the folder holds no house yet.
 *
 * @param folder - of the database
 * @param demoFolder - of the open files
 * @param demoDate - the demo's today, or undefined for the machine's
 */
export function prepare(folder: string, demoFolder: string, demoDate: string | undefined): Prepared {
  return prepareWith(folder, demoDate, (store, today, setClock) =>
    loadShelf(store, readShelf(demoFolder), today, setClock),
  )
}

/** Lays a large workshop out, where the folder holds no house yet. */
export function prepareWorkshop(
  folder: string,
  demoFolder: string,
  demoDate: string | undefined,
  size: WorkshopSize,
): Prepared {
  return prepareWith(folder, demoDate, (store, today, setClock) =>
    layWorkshop(store, readShelf(demoFolder), size, today, setClock),
  )
}

type LayOut = (store: Store, today: number, setClock: (at: number) => void) => void

/** Lays a house out beside the folder and moves it into place when it is whole, so that one that is cut off leaves nothing behind. */
function prepareWith(folder: string, demoDate: string | undefined, layOut: LayOut): Prepared {
  const file = 'taut-pinset.sqlite'
  if (existsSync(path.join(folder, file))) return { loaded: false }
  const aside = `${folder.replace(/\/+$/, '')}.loading`
  rmSync(aside, { recursive: true, force: true })
  const dated = openStore({ folder: aside, demoDate })
  const today = dated.now()
  dated.close()
  let at = today
  const store = openStore({ folder: aside, machine: () => at, syncAtClose: true })
  store.act({ kind: 'house', summary: 'The house set up' }, () => {
    store.rows
      .insert(house)
      .values({ id: 1, ...workshopRow({ ...workshopSettings(store), name: 'The Lantern Shelf' }) })
      .run()
  })
  layOut(store, today, (time) => {
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
