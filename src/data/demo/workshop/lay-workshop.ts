/**
 * Lays out a large workshop with years of history, for benches, tests and demonstrations: the demo's instruments many
 * times over, each with its own gauges, and strings that break, are replaced, settle and are bought anew. It is laid as
 * the demo's history is, action by action, but without the checks that a person's clicks go through.
 */
import { itemAt } from '@/core/list/item-at'
import { seeded } from '@/core/random/seeded'
import { DAY, HOUR } from '@/core/units/time'
import { addSupplier, insertItems } from '../../buying/suppliers'
import { addInstrument, instrumentBySlug } from '../../instruments/instruments'
import type { Store } from '../../store/database'
import { occasions } from '../../store/schema'
import { insertSupply } from '../../stores/supplies'
import type { ShelfFiles } from '../shelf-files'
import { workshopName } from './workshop-names'
import { madeUp, slugOf } from './made-up'
import { fitSet, placesOf } from './place'
import { stringLife } from './string-life'
import { WorkshopStores } from './workshop-stores'

export interface WorkshopSize {
  readonly instruments: number
  readonly years: number
  readonly seed: number
}

/** Strings that give way on an instrument in a year, of every string it has. */
const BREAKS_A_STRING = 0.36

/**
 * @param store - empty, its clock the one given
 * @param files - the demo's
 * @param today - the day the history ends on, ms
 * @param setClock - moves the store's clock
 */
export function layWorkshop(
  store: Store,
  files: ShelfFiles,
  { instruments, years, seed }: WorkshopSize,
  today: number,
  setClock: (at: number) => void,
): void {
  const random = seeded(seed)
  const start = today - years * 365 * DAY
  setClock(start)
  store.act({ kind: 'shelf', summary: `${instruments} instruments put on the shelf` }, () => {
    for (let i = 0; i < instruments; i += 1) addInstrument(store, madeUp(files.instruments, i), null, true)
  })
  const supplierIds = store.act(
    { kind: 'supplier', summary: 'Three suppliers with their catalogues' },
    () => {
      for (const supply of files.supplies) insertSupply(store, supply)
      return files.suppliers.map((supplier) => {
        const id = addSupplier(store, { ...supplier, simulated: true, retiredAt: null })
        insertItems(store, id, files.catalogues.get(supplier.slug) ?? [])
        return id
      })
    },
  ).result
  const shelf = Array.from({ length: instruments }, (_, i) =>
    placesOf(store, instrumentBySlug(store, slugOf(workshopName(i)))),
  )
  const stores = new WorkshopStores(store, supplierIds, shelf.flat(), random)
  for (const places of shelf) fitSet(store, places)

  // 1. What happens, in the order of time.
  const happenings: { at: number; happen: () => void }[] = []
  for (const places of shelf) {
    const broken = Math.round(places.length * BREAKS_A_STRING * years * (0.6 + 0.8 * random()))
    for (let i = 0; i < broken; i += 1) {
      const place = itemAt(places, Math.floor(random() ** 1.4 * places.length))
      const at = Math.round(start + 20 * DAY + random() * (today - start - 20 * DAY - HOUR))
      happenings.push({ at, happen: () => giveWay(place, at) })
    }
  }
  const later = (at: number, happen: () => void) => {
    if (at < today) insertByTime(happenings, { at: Math.round(at), happen })
  }
  happenings.sort((a, b) => b.at - a.at)
  const giveWay = stringLife({ store, stores, random, today, later })

  // 2. Let it happen.
  for (let next = happenings.pop(); next; next = happenings.pop()) {
    setClock(next.at)
    next.happen()
  }
  setClock(today)
  stores.orderWhatIsNeeded()
  store.act({ kind: 'occasions', summary: 'Two dates set' }, () => {
    for (const { name, daysAhead } of files.occasions)
      store.rows
        .insert(occasions)
        .values({ name, at: today + daysAhead * DAY })
        .run()
  })
}

/** Keeps what happens sorted, the last first, so that the next is popped off the end. */
function insertByTime<T extends { readonly at: number }>(sorted: T[], one: T): void {
  let [low, high] = [0, sorted.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if (itemAt(sorted, middle).at > one.at) low = middle + 1
    else high = middle
  }
  sorted.splice(low, 0, one)
}
