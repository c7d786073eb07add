import Link from 'next/link'
import { pages } from '@/boundary/paths'
import { listed } from '@/core/fitting/context'
import type { Session } from '@/core/restring/sessions'
import { hoursText } from './words'

interface EveningsProps {
  readonly sessions: readonly Session[]
  readonly minutes: number
  readonly onMinutes: (minutes: number) => void
  /** The house's people, and those of them who are at it. */
  readonly people: readonly string[]
  readonly atIt: readonly string[]
  readonly onAtIt: (atIt: readonly string[]) => void
}

/** The work over days: what fits into each session, who is at it, and how the instrument stands overnight. */
export function Evenings({ sessions, minutes, onMinutes, people, atIt, onAtIt }: EveningsProps) {
  return (
    <section className="mt-5 border-t border-ink pt-3 print:hidden" aria-labelledby="evenings">
      <h2 id="evenings" className="text-xl font-semibold">
        Over days
      </h2>
      <label className="mt-1 flex items-center gap-3 text-sm">
        A session has, min
        <input
          className="entry w-28"
          type="number"
          min={1}
          max={1440}
          step={5}
          value={Number.isNaN(minutes) ? '' : minutes}
          aria-invalid={!(minutes > 0)}
          onChange={(event) => onMinutes(event.target.valueAsNumber)}
        />
      </label>
      {!(minutes > 0) && (
        <p role="alert" className="mt-1 font-semibold text-ochre">
          A session takes some minutes: nothing is done in none.
        </p>
      )}
      {people.length > 1 ? (
        <fieldset className="mt-1 flex flex-wrap gap-x-5 text-sm">
          <legend className="sr-only">Who is at it</legend>
          {people.map((name) => (
            <label key={name} className="flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                className="size-5 accent-verdigris"
                checked={atIt.includes(name)}
                onChange={(event) =>
                  // In the house's order, so that a share stays where it was.
                  onAtIt(people.filter((one) => (one === name ? event.target.checked : atIt.includes(one))))
                }
              />
              {name}
            </label>
          ))}
        </fieldset>
      ) : (
        <p className="text-sm text-soft">
          Several at it? Name the people of the house in{' '}
          <Link href={pages.workshop} className="underline underline-offset-2" prefetch={false}>
            House
          </Link>
          , and the strings are shared out.
        </p>
      )}
      {atIt.length > 1 && (
        <p className="text-sm text-soft">
          {listed(atIt)} each put on the strings of their own part of the board. Tune one after another:
          nobody hears their own string while another is tuned.
        </p>
      )}
      <ol className="ruled mt-2" aria-label="Sessions">
        {sessions.map(({ from, to, minutes: takes, stops }, i) => (
          <li key={i} className="py-1.5">
            <strong>Session {i + 1}:</strong>{' '}
            {from === to ? `go ${from + 1}` : `goes ${from + 1} to ${to + 1}`}, {hoursText(takes)}
            {stops === 'at half pitch' && (
              <span className="block text-sm text-soft">
                Longer than a session: bring all its new strings to half their pitch. They may stand so
                overnight.
              </span>
            )}
          </li>
        ))}
      </ol>
      {sessions.length > 1 && (
        <p className="text-sm text-soft">
          Stop between goes, or with all new strings of a go at half their pitch; never with strings off.
        </p>
      )}
    </section>
  )
}
