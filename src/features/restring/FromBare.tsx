import { counted } from '@/core/list/counted'
import { listed } from '@/core/fitting/context'
import type { BringingUp } from '@/core/restring/bringing-up'
import type { StopBlock } from '@/core/restring/stop-block'
import type { Instrument } from '@/core/instrument/instrument'
import { isOnFoot } from '@/core/knots/fastenings'
import { measure } from '@/core/measure'
import { measureText } from '@/ui/format/measure'
import { useWorkshop } from '@/ui/units'
import { FootShares } from './FootShares'

interface FromBareProps {
  readonly bringing: BringingUp
  readonly blocks: readonly StopBlock[]
  readonly nameOf: (id: number) => string
  readonly instrument: Instrument
  /** The house retunes at so many cents. */
  readonly tolerance: number
}

/** A new instrument, or one whose strings are all off: its pins, and the rounds that bring it up. */
export function FromBare({
  bringing: { rounds, playable, stable },
  blocks,
  nameOf,
  instrument,
  tolerance,
}: FromBareProps) {
  const { units } = useWorkshop()
  const onFeet = instrument.positions.some(isOnFoot)
  const length = (metres: number) => measureText(measure('width', metres), units)
  return (
    <section className="mt-5 border-t border-ink pt-3 print:hidden" aria-labelledby="from-bare">
      <h2 id="from-bare" className="text-xl font-semibold">
        From bare, or from new
      </h2>
      <p className="text-soft">
        Put the strings on slack, the lowest and heaviest first{onFeet ? ', the lowest layer first' : ''};
        pull each end hard by hand. Bring all to half their pitch, then up in rounds.
      </p>
      {onFeet && <FootShares instrument={instrument} tolerance={tolerance} />}
      {blocks.length > 0 && (
        <>
          <h3 className="mt-3 font-semibold">Set the pins to one height</h3>
          <ul className="ruled">
            {blocks.map(({ numbers, threadPitch, diameter, block, wound }) => (
              <li key={numbers[0]} className="py-1.5">
                <strong>A stop block {length(block)} high</strong> for {rangeText(numbers)}: pins of{' '}
                {length(diameter)},{' '}
                {threadPitch === null
                  ? 'driven in until the block stops the hammer.'
                  : `screwed in until the key meets the block. Winding sinks them to ${length(wound)}.`}
              </li>
            ))}
          </ul>
          <p className="text-sm text-soft">
            Heights are of the pin’s top over the wood. A new pin that can be turned by hand does not hold:
            ask the maker.
          </p>
        </>
      )}
      <h3 className="mt-3 font-semibold">Bring it up from the low notes</h3>
      <ol className="ruled" aria-label="Rounds from bare">
        {rounds.map(({ worst, mean, furthest }, i) => (
          <li key={i} className="py-1.5">
            <strong>Round {i + 1}</strong> leaves strings {mean.toFixed(mean < 10 ? 1 : 0)} cents off on
            average
            {worst >= 1 ? `; the ${nameOf(furthest)} ${worst.toFixed(0)} cents` : ''}.
          </li>
        ))}
      </ol>
      <p className="mt-2">
        Each string that comes up lowers those that are up already: that is foretold, and no fault. Play it
        from <strong>{afterText(playable)}</strong> after the last round; from{' '}
        <strong>{afterText(stable)}</strong> it holds for a week. In between it is tuned as it settles:{' '}
        <em>Tune all</em> and the visits take over.
      </p>
    </section>
  )
}

/** `strings 1 to 12 and 30` */
function rangeText(numbers: readonly number[]): string {
  const runs: [number, number][] = []
  for (const number of numbers) {
    const last = runs.at(-1)
    if (last && last[1] === number - 1) last[1] = number
    else runs.push([number, number])
  }
  const texts = runs.map(([from, to]) => (from === to ? String(from) : `${from} to ${to}`))
  return `${numbers.length === 1 ? 'string' : 'strings'} ${listed(texts)}`
}

/** `5 hours`, `3 days` */
function afterText(hours: number): string {
  if (hours < 1) return 'at once'
  if (hours < 36) return `${Math.ceil(hours)} ${Math.ceil(hours) === 1 ? 'hour' : 'hours'}`
  const days = Math.ceil(hours / 24)
  return days < 21 ? counted(days, 'day') : `${Math.ceil(days / 7)} weeks`
}
