import type { ShelfReading } from '@/core/names/find-on-shelf'
import { MAX_READINGS } from '@/core/names/most-readings'

interface ReadingsProps {
  /** As it was typed. */
  readonly text: string
  readonly readings: readonly ShelfReading[]
  readonly choose: (reading: ShelfReading) => void
}

/** Asks which string was meant where a name can be several. */
export function Readings({ text, readings, choose }: ReadingsProps) {
  const several = new Set(readings.map(({ slug }) => slug)).size > 1
  return (
    <div className="sheet absolute right-0 top-full z-40 mt-1 max-h-[70dvh] w-full min-w-72 overflow-y-auto p-4 shadow-lg">
      <p className="font-semibold">Which did you mean by “{text}”?</p>
      <ul className="ruled mt-2">
        {readings.map((reading) => (
          <li key={`${reading.slug}${reading.number}`}>
            <button
              type="button"
              className="min-h-11 w-full text-left hover:underline"
              onClick={() => choose(reading)}
            >
              {several && <strong>{reading.instrument}: </strong>}
              {reading.means}
            </button>
          </li>
        ))}
      </ul>
      {readings.length >= MAX_READINGS && (
        <p className="mt-2 text-sm text-soft">There are more: say the instrument too.</p>
      )}
    </div>
  )
}
