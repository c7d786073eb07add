/** Strings of a round that were tuned while the house did not answer. */
import type { Instrument } from '@/core/instrument/instrument'
import type { RoundTurn } from '@/data/views/round-view'
import type { Waiting } from '@/ui/offline/outbox'

interface Sent {
  readonly number: number
  readonly found: number
  readonly left: number | null
}

/** @param path - that they are sent to */
export function waitingTurns(
  { positions }: Instrument,
  path: string,
  waits: readonly Waiting[],
): readonly RoundTurn[] {
  return waits
    .filter((one) => one.path === path)
    .map(({ json }) => {
      const { number, found, left } = JSON.parse(json) as Sent
      return { string: positions.findIndex((position) => position.number === number), found, left }
    })
}
