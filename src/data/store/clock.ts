/**
 * What time it is for the house. The demo may be given a day of its own; its clock then runs on from there.
 */
import type Database from 'better-sqlite3'

/**
 * A clock that honours the demo's date. The first start with a date sets how far it runs from the machine's clock;
 * later starts with the same date go on from there, so that nothing logged ever lies in the future.
 *
 * @param db - holds the setting
 * @param demoDate - `2026-12-10` (today's time of day on that day) or `2026-12-10T19:30`; undefined for the machine's clock
 * @param machine - the machine's clock, ms
 * @returns ms since 1970
 * @throws RangeError when the date can't be read
 */
export function workshopClock(
  db: Database.Database,
  demoDate: string | undefined,
  machine: () => number = Date.now,
): () => number {
  if (!demoDate) return machine
  const kept = db.prepare('SELECT offset_ms AS offset FROM clock WHERE demo_date = ?').get(demoDate) as
    { offset: number } | undefined
  if (kept) return () => machine() + kept.offset
  const offset = offsetTo(demoDate, machine())
  db.prepare('DELETE FROM clock').run()
  db.prepare('INSERT INTO clock (demo_date, offset_ms) VALUES (?, ?)').run(demoDate, offset)
  return () => machine() + offset
}

function offsetTo(demoDate: string, machine: number): number {
  const dayOnly = /^\d{4}-\d{2}-\d{2}$/.test(demoDate)
  const target = new Date(dayOnly ? `${demoDate}T00:00` : demoDate).getTime()
  if (Number.isNaN(target))
    throw new RangeError(
      `TAUT_DEMO_DATE: expected a date such as 2026-12-10 or 2026-12-10T19:30, got “${demoDate}”.`,
    )
  if (!dayOnly) return target - machine
  // The same time of day on that date: a change of clocks between the two must not move it past midnight.
  const then = new Date(target)
  const now = new Date(machine)
  then.setHours(now.getHours(), now.getMinutes(), now.getSeconds(), now.getMilliseconds())
  return then.getTime() - machine
}
