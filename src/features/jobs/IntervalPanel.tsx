import type { IntervalPlan } from '@/core/fitting/in-the-interval'
import { listed } from '@/core/fitting/context'

interface IntervalPanelProps {
  readonly plan: IntervalPlan
  readonly minutes: number
  readonly noHurry: () => void
}

/** What a string that broke in the interval gets: what waits, what the minutes are for, and when to touch it up. */
export function IntervalPanel({ plan, minutes, noHurry }: IntervalPanelProps) {
  const { takes, left, fits, cycles, sharp, touchUps, putOff } = plan
  return (
    <section aria-label="In the interval" className="my-3 border-y-2 border-verdigris py-3">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 className="text-xl font-semibold">In the interval: {minutes} minutes</h2>
        <button type="button" className="min-h-11 underline underline-offset-4" onClick={noHurry}>
          No hurry after all
        </button>
      </div>
      {fits ? (
        <ul className="space-y-1">
          <li>
            The work takes about {Math.ceil(takes)} minutes. Some {Math.floor(left)} are left for the string.
          </li>
          {cycles > 0 ? (
            <li>
              Pull it far aside and back, ten times, and tune it again. Do that{' '}
              {cycles === 1 ? 'once' : `${cycles} times`}. It costs the string some of its life.
            </li>
          ) : (
            <li>Leave the wire alone. Tune it as often as it falls.</li>
          )}
          <li>
            As the half begins, leave it {sharp.toFixed(0)} cents sharp.{' '}
            {touchUps.length === 0
              ? 'Then it should hold through 45 minutes.'
              : `Touch it up so many minutes into the half: ${listed(touchUps.map((at) => Math.round(at).toString()))}.`}
          </li>
        </ul>
      ) : (
        <p className="font-semibold text-ochre">
          That is too little time: the work alone takes about {Math.ceil(takes)} minutes. Ask for more, or
          play round the string.
        </p>
      )}
      {putOff.length > 0 && (
        <dl className="mt-2 text-sm">
          {putOff.map(({ key, title, why }) => (
            <div key={key} className="flex flex-wrap gap-x-2">
              <dt className="font-semibold">Later: {title}.</dt>
              <dd>{why}</dd>
            </div>
          ))}
        </dl>
      )}
    </section>
  )
}
