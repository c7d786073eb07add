/**
 * All that a cutting plan is made from, with the words it is told in.
 */
import type { CoilLeft, CutJob } from './cut-plan'

export interface CuttingBench {
  readonly jobs: readonly (CutJob & {
    readonly string: string
    /** The coil that is set aside for it. */
    readonly coilId: number | null
    /** Coils that fit, whether a plan has to look at them or not. */
    readonly fits: number
  })[]
  readonly coils: readonly (CoilLeft & {
    readonly label: string
    readonly place: string
    /** Its length when it was bought, m, and what was cut from it since. */
    readonly bought: number
    readonly cuts: readonly number[]
  })[]
}
