import { withThe } from '@/core/instrument/with-the'
import { measure } from '@/core/measure'
import type { SoldNear } from '@/data/views/buying-bench'
import { measureText } from '@/ui/format/measure'
import { useWorkshop } from '@/ui/units'

/** Gauges on sale nearest to one that nobody sells, each with what it does to the string. */
export function NearestGauges({
  string,
  near,
  onTake,
}: {
  readonly string: string
  readonly near: readonly SoldNear[]
  readonly onTake: (one: SoldNear) => void
}) {
  const { units } = useWorkshop()
  if (near.length === 0) return <p className="mt-1">Nobody sells a gauge near it either.</p>
  return (
    <>
      <p className="mt-1">The nearest gauges on sale:</p>
      <ul className="ruled" aria-label={`Gauges near ${withThe(string)}`}>
        {near.map((one) => (
          <li key={one.offerId} className="flex flex-wrap items-center justify-between gap-2 py-1.5">
            <span>
              <span className="font-semibold">{measureText(measure('gauge', one.gauge), units)}</span>,{' '}
              {one.name}, {one.part} from {one.supplier}
              <span className="block">
                Tension {measureText(measure('force', one.tension), units)},{' '}
                {Math.abs(Math.round(one.tensionChange * 100))} % {one.tensionChange < 0 ? 'less' : 'more'}.
                It breaks {one.semitonesToBreaking.toFixed(1)} semitones above its pitch.
              </span>
              {!one.standsIn && (
                <span className="block font-semibold text-ochre">
                  Too far from the chart. Ask the maker first.
                </span>
              )}
            </span>
            <button type="button" className="button" onClick={() => onTake(one)}>
              Buy this gauge
            </button>
          </li>
        ))}
      </ul>
    </>
  )
}
