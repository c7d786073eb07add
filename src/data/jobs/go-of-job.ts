/** The go of a restring that a job belongs to. */
import { and, eq, isNull, sql } from 'drizzle-orm'
import type { FittingState } from '@/core/fitting/context'
import type { Store } from '../store/database'
import { restringPieces, restrings } from '../store/schema'

export interface GoOfJob {
  readonly restring: FittingState['restring']
  /** Whose string it is; empty where one does all. */
  readonly hands: string
}

const NO_GO: GoOfJob = { restring: null, hands: '' }

/** How a job’s string is changed: by itself, in a go of several of a restring that goes on, or on a bare instrument. */
export function goOfJob(store: Store, jobId: number): GoOfJob {
  const row = store
    .prepared('go of a job', (rows) =>
      rows
        .select({
          fromBare: restrings.fromBare,
          hands: restringPieces.hands,
          size: sql<number>`(SELECT count(*) FROM ${restringPieces} AS other
            WHERE other.restring_id = ${restringPieces.restringId} AND other.go = ${restringPieces.go})`,
        })
        .from(restringPieces)
        .innerJoin(restrings, and(eq(restrings.id, restringPieces.restringId), isNull(restrings.endedAt)))
        .where(eq(restringPieces.jobId, sql.placeholder('job')))
        .prepare(),
    )
    .get({ job: jobId })
  if (!row) return NO_GO
  return { restring: row.fromBare ? 'from bare' : row.size > 1 ? 'go by go' : null, hands: row.hands }
}
