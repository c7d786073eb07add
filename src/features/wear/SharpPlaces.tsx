import Link from 'next/link'
import { pages } from '@/boundary/paths'
import type { SharpLine } from '@/data/views/wear-shelf'
import { chanceText } from '@/ui/format/chance'
import { usualText } from './class-words'

/** Places of the shelf that may be sharp, the surest first. */
export function SharpPlaces({ sharp }: { readonly sharp: readonly SharpLine[] }) {
  if (sharp.length === 0) return null
  return (
    <section className="mt-4" aria-labelledby="sharp">
      <h2 id="sharp" className="text-xl font-semibold">
        Look for a sharp edge
      </h2>
      <ul className="ruled mt-1">
        {sharp.map((place) => (
          <li
            key={`${place.slug} ${place.position} ${place.site}`}
            className="grid gap-x-4 py-2 sm:grid-cols-[6rem_1fr]"
          >
            <span className="plate-figure text-2xl whitespace-nowrap">{chanceText(place.chance)}</span>
            <span>
              <Link
                href={pages.instrumentSheet(place.slug, 'wear', place.position)}
                prefetch={false}
                className="inline-block min-h-6 font-semibold first-letter:uppercase hover:underline"
              >
                {place.name} of {place.instrumentName}
              </Link>
              <span className="block text-sm text-soft">
                {place.where}: {place.breaks} broke there, where {usualText(place.expected)} would be usual.{' '}
                {place.polished && `Polished since; that it helped: ${chanceText(place.polished.chance)}.`}
              </span>
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}
