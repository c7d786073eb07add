import type { Table } from 'drizzle-orm'
import { DAY } from '@/core/units/time'
import type { Store } from './database'

/** A value that hangs on the day as well: worked out anew when one of its tables was written, or another day has come. */
export function cachedForToday<T>(store: Store, name: string, tables: readonly Table[], work: () => T): T {
  const byDay = store.cache.get(name, tables, () => new Map<number, T>())
  const day = Math.floor(store.now() / DAY)
  const known = byDay.get(day)
  if (known !== undefined) return known
  const value = work()
  byDay.clear()
  byDay.set(day, value)
  return value
}
