/**
 * Pictures that are kept with an instrument: of the old knot before it comes off, of the winding beside it, of the whole.
 */
import { createHash } from 'node:crypto'
import { and, desc, eq, inArray, lt, notExists, sql } from 'drizzle-orm'
import { Refusal } from '@/boundary/refusal'
import type { PictureKind } from '@/core/pictures/picture-kind'
import { plainJpeg } from '@/core/pictures/plain-jpeg'
import { DAY } from '@/core/units/time'
import { instrumentBySlug, positionId } from '../instruments/instruments'
import { jobById } from '../jobs/job'
import type { Done, Store } from '../store/database'
import { pictureFiles, pictures } from '../store/schema'

/** A picture as screens list it; its bytes have an address of their own. */
export interface KeptPicture {
  readonly id: number
  readonly kind: PictureKind
  readonly note: string
  readonly at: number
  /** Pixels. */
  readonly width: number
  readonly height: number
  readonly hash: string
  readonly positionId: number | null
  readonly jobId: number | null
}

export interface NewPicture {
  readonly instrument: string
  /** Null for one of the whole instrument. */
  readonly number: number | null
  readonly jobId: number | null
  readonly kind: PictureKind
  readonly note: string
  readonly jpeg: Uint8Array
}

/** Until then what was thrown away can be brought back, ms. */
const BROUGHT_BACK_WITHIN = 30 * DAY
/** Longer side, pixels: more shows no more of a knot. */
const LONGEST = 4000

/**
 * Keeps a picture, without what the camera wrote beside it.
 *
 * @throws Refusal 400 when it is no JPEG, 404 when there is no such instrument or job
 */
export function keepPicture(
  store: Store,
  { instrument, number, jobId, kind, note, jpeg }: NewPicture,
): Done<number> {
  const stored = instrumentBySlug(store, instrument)
  const onIt = number === null ? null : positionId(stored, number)
  if (jobId !== null && jobById(store, jobId).instrument.slug !== instrument)
    throw new Refusal(400, 'That job is on another instrument.')
  const { bytes, width, height } = plainJpeg(jpeg)
  if (Math.max(width, height) > LONGEST)
    throw new Refusal(400, `Expected a picture of ${LONGEST} pixels at most, got ${width} × ${height}.`)
  const hash = hashOf(bytes)
  const summary = `A picture kept with ${stored.instrument.name}: ${kind}`
  return store.act({ kind: 'picture', summary, instrumentId: stored.id }, () => {
    forgetThrown(store)
    keepBytes(store, hash, bytes)
    return store.rows
      .insert(pictures)
      .values({
        instrumentId: stored.id,
        positionId: onIt,
        jobId,
        kind,
        note,
        at: store.now(),
        widthPx: width,
        heightPx: height,
        hash,
      })
      .returning({ id: pictures.id })
      .get().id
  })
}

/**
 * Throws a picture away. It can be undone for thirty days; then its bytes go for good.
 *
 * @throws Refusal 404 when there is none
 */
export function throwPictureAway(store: Store, id: number): Done<void> {
  const row = store.rows.select().from(pictures).where(eq(pictures.id, id)).get()
  if (!row) throw new Refusal(404, `There is no picture ${id}.`)
  const { kind, hash, instrumentId } = row
  return store.act({ kind: 'picture', summary: `A picture thrown away: ${kind}`, instrumentId }, () => {
    store.rows.delete(pictures).where(eq(pictures.id, id)).run()
    store.rows.update(pictureFiles).set({ thrownAt: store.now() }).where(eq(pictureFiles.hash, hash)).run()
    forgetThrown(store)
  })
}

/** Bytes that nothing shows any more, since they were thrown away or their keeping was undone long enough ago. */
function forgetThrown(store: Store): void {
  const since = sql`coalesce(${pictureFiles.thrownAt}, ${pictureFiles.keptAt})`
  const shown = store.rows.select().from(pictures).where(eq(pictures.hash, pictureFiles.hash))
  store.rows
    .delete(pictureFiles)
    .where(and(lt(since, store.now() - BROUGHT_BACK_WITHIN), notExists(shown)))
    .run()
}

/** The pictures of an instrument, the latest first. */
export function picturesOf(store: Store, instrumentId: number): readonly KeptPicture[] {
  return store.rows
    .select()
    .from(pictures)
    .where(eq(pictures.instrumentId, instrumentId))
    .orderBy(desc(pictures.id))
    .all()
    .map(asKept)
}

/** The pictures that were taken for some jobs, in their order. */
export function picturesOfJobs(store: Store, jobIds: readonly number[]): readonly KeptPicture[] {
  return store.rows
    .select()
    .from(pictures)
    .where(inArray(pictures.jobId, [...jobIds]))
    .orderBy(pictures.id)
    .all()
    .map(asKept)
}

function asKept({
  id,
  kind,
  note,
  at,
  widthPx: width,
  heightPx: height,
  hash,
  positionId: onIt,
  jobId,
}: typeof pictures.$inferSelect): KeptPicture {
  return { id, kind, note, at, width, height, hash, positionId: onIt, jobId }
}

/** Keeps the bytes of a picture by their hash, within an action; the same bytes are kept once. */
export function keepBytes(store: Store, hash: string, jpeg: Uint8Array): void {
  store.rows
    .insert(pictureFiles)
    .values({ hash, jpeg: Buffer.from(jpeg), keptAt: store.now() })
    .onConflictDoNothing()
    .run()
}

/** What bytes are called. */
export function hashOf(jpeg: Uint8Array): string {
  return createHash('sha256').update(jpeg).digest('hex')
}

/** The bytes of a picture; null when there is none of that hash. */
export function pictureBytes(store: Store, hash: string): Uint8Array | null {
  const file = store.rows
    .select({ jpeg: pictureFiles.jpeg })
    .from(pictureFiles)
    .where(eq(pictureFiles.hash, hash))
    .get()
  return file?.jpeg ?? null
}
