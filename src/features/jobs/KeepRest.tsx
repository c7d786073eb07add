'use client'

import type { FormEvent } from 'react'
import { endpoints } from '@/boundary/endpoints'
import { Entry } from '@/ui/form/Entry'
import { textIn } from '@/ui/form/text-in'
import { useAct } from '@/ui/shell/use-act'
import { useWorkshop } from '@/ui/units'

/** What is left of a string that was in the hand, kept in the stores with one press. */
export function KeepRest({ coilId }: { readonly coilId: number }) {
  const { unit } = useWorkshop()
  const { act, refused } = useAct()
  const keep = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault()
    const left = textIn(new FormData(event.currentTarget), 'left')
    void act(endpoints.keepRest(coilId), { left, unit }, 'What is left is in the stores.')
  }
  return (
    <form
      onSubmit={keep}
      noValidate
      className="mt-4 flex flex-wrap items-end gap-3 border-t border-rule pt-3"
    >
      <div className="w-44">
        <Entry
          label={`Left of it, ${unit}`}
          name="left"
          inputMode="decimal"
          problem={refused?.field === 'left' ? refused.sentence : undefined}
        />
      </div>
      <button type="submit" className="button">
        Keep the rest
      </button>
      {refused && refused.field !== 'left' && (
        <p role="alert" className="w-full font-semibold text-ochre">
          {refused.sentence}
        </p>
      )}
    </form>
  )
}
