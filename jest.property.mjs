/** Gives fast-check the run's seed; a long run draws many more cases. */
import fc from 'fast-check'

fc.configureGlobal({
  seed: Number(process.env.TAUT_SEED),
  ...(process.env.TAUT_LONG ? { numRuns: 2000 } : {}),
})
