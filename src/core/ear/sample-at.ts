/**
 * The sample at a place where there must be one. Of one kind of list only, since these are the loops that an ear spends its
 * time in: what reads lists of every kind reads each more slowly.
 *
 * @param index - counted from 0
 * @throws RangeError where there is none: a fault of the program
 */
export function sampleAt(samples: Float64Array, index: number): number {
  const sample = samples[index]
  if (sample === undefined) throw new RangeError(`expected a sample at ${index} of ${samples.length}`)
  return sample
}
