import type { Session } from '@/core/restring/sessions'
import { hoursText } from './words'

interface EveningsProps {
  readonly sessions: readonly Session[]
  readonly minutes: number
  readonly onMinutes: (minutes: number) => void
}

/** The work over days: what fits into each session, and how the instrument stands overnight. */
export function Evenings({ sessions, minutes, onMinutes }: EveningsProps) {
  return (
    <section className="mt-5 border-t border-ink pt-3" aria-labelledby="evenings">
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
          aria-invalid={sessions.length === 0}
          onChange={(event) => onMinutes(event.target.valueAsNumber)}
        />
      </label>
      {sessions.length === 0 && (
        <p role="alert" className="mt-1 font-semibold text-ochre">
          A session takes some minutes: nothing is done in none.
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
