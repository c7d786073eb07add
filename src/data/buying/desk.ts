/**
 * The suppliers' desks, as a stand-in: they take an order's CSV, answer after a while, and send a delivery note.
 */
import { eq } from 'drizzle-orm'
import { seeded } from '@/core/random/seeded'
import { deliveryOf, deskAnswer, type AskedLine, type DeskLine } from '@/core/stores/desk'
import { unguarded } from '../csv/formula-guard'
import { readTable } from '../csv/read-table'
import type { Store } from '../store/database'
import { found, Refusal } from '@/boundary/refusal'
import { deskTickets } from '../store/schema'
import { catalogue, supplierBySlug } from './suppliers'

export interface DeskState {
  readonly stage: 'received' | 'acknowledged'
  /** Milliseconds until it answers; 0 when it has. */
  readonly answersIn: number
  readonly lines: readonly DeskLine[]
}

/** No order is longer. */
const MOST_LINES = 400
/** How long a desk takes to answer, ms. */
const DELAY_MS = 1500

/**
 * Hands an order in.
 *
 * @param csv - as the order sheet writes it
 * @param seed - the same order and seed are always answered alike
 * @param cameAt - machine's time, ms
 * @returns the ticket's number
 * @throws RangeError or Refusal with a sentence when the CSV can't be read or names a part that is not sold
 */
export function handIn(
  store: Store,
  slug: string,
  csv: string,
  seed: number,
  cameAt: number,
  delayMs = DELAY_MS,
): string {
  const supplier = supplierBySlug(store, slug)
  if (!supplier.simulated)
    throw new Refusal(409, `${supplier.name} is not simulated: no simulator takes its orders.`)
  const parts = new Set(catalogue(store, supplier.id).map(({ part }) => part))
  const lines = linesOf(csv)
  if (lines.length > MOST_LINES) throw new Refusal(400, `An order has at most ${MOST_LINES} lines.`, 'csv')
  for (const { part } of lines)
    if (!parts.has(part)) throw new Refusal(400, `${supplier.name} has no part ${part}.`, 'csv')
  return String(
    store.rows
      .insert(deskTickets)
      .values({ supplierSlug: slug, csv, seed, delayMs, cameAt })
      .returning({ id: deskTickets.id })
      .get().id,
  )
}

/** How far a ticket has got. */
export function deskState(store: Store, slug: string, ticket: string, machine: number): DeskState {
  const row = ticketOf(store, slug, ticket)
  const answersIn = Math.max(0, row.cameAt + row.delayMs - machine)
  return answersIn > 0
    ? { stage: 'received', answersIn, lines: [] }
    : { stage: 'acknowledged', answersIn: 0, lines: answerTo(store, row) }
}

/** The delivery note, once it is known which substitutes were taken. */
export function deliveryNote(
  store: Store,
  slug: string,
  ticket: string,
  accepted: readonly string[],
): readonly AskedLine[] {
  return deliveryOf(answerTo(store, ticketOf(store, slug, ticket)), new Set(accepted))
}

function answerTo(
  store: Store,
  { supplierSlug, csv, seed }: typeof deskTickets.$inferSelect,
): readonly DeskLine[] {
  const items = catalogue(store, supplierBySlug(store, supplierSlug).id).map((item) => ({
    part: item.part,
    spec: item.setOf === null && item.stock !== 0 ? item : null,
  }))
  return deskAnswer(linesOf(csv), items, seeded(seed))
}

function linesOf(csv: string): readonly AskedLine[] {
  const { header, rows } = readTable(csv)
  const [part, packs] = [header.indexOf('part'), header.indexOf('packs')]
  if (part < 0 || packs < 0) throw new RangeError('Expected an order with the columns “part” and “packs”.')
  return rows.map((row, i) => {
    const count = Number(row[packs])
    if (!Number.isInteger(count) || count < 1)
      throw new RangeError(`Line ${i + 2}: expected a number of packs, got “${row[packs] ?? ''}”.`)
    return { part: unguarded(row[part] ?? ''), packs: count }
  })
}

function ticketOf(store: Store, slug: string, ticket: string): typeof deskTickets.$inferSelect {
  const row = found(
    store.rows
      .select()
      .from(deskTickets)
      .where(eq(deskTickets.id, Number(ticket) || 0))
      .get(),
    `The desk has no ticket ${ticket}.`,
  )
  if (row.supplierSlug !== slug) throw new Refusal(404, `The desk of ${slug} has no ticket ${ticket}.`)
  return row
}
