import type { Run } from '@/core/hardware/sections'
import type { Instrument } from '@/core/instrument/instrument'

/** A run of strings by the numbers that its players count by, the lower one first. */
export function runName({ positions }: Instrument, { from, to }: Run): string {
  const [a = from, b = to] = [from, to]
    .map((number) => positions[number - 1]?.called.number ?? number)
    .sort((one, other) => one - other)
  return a === b ? String(a) : `${a} to ${b}`
}
