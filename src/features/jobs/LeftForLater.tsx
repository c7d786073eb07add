'use client'

import { endpoints } from '@/boundary/endpoints'
import type { LeftStep } from '@/data/jobs/left-for-later'
import { useAct } from '@/ui/shell/use-act'

/** What was put off when the string was fitted, each ticked with one press once it is done. */
export function LeftForLater({
  jobId,
  steps,
}: {
  readonly jobId: number
  readonly steps: readonly LeftStep[]
}) {
  const { act, refused } = useAct()
  if (steps.length === 0) return null
  return (
    <section aria-label="Left for later" className="mt-5 border-t-2 border-ochre pt-3">
      <h3 className="text-lg font-semibold">Left for later</h3>
      <ul className="ruled">
        {steps.map(({ key, title }) => (
          <li key={key} className="flex items-center justify-between gap-3 py-1.5">
            {title}
            <button
              type="button"
              className="button"
              aria-label={`Done: ${title}`}
              onClick={() =>
                void act(endpoints.markStep(jobId), { step: key, done: true }, `${title}: done.`)
              }
            >
              Done
            </button>
          </li>
        ))}
      </ul>
      {refused && (
        <p role="alert" className="font-semibold text-ochre">
          {refused.sentence}
        </p>
      )}
    </section>
  )
}
