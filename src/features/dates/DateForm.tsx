'use client'

import type { FormEvent, ReactNode } from 'react'
import { useState } from 'react'
import type { RequestBody } from '@/boundary/endpoint'
import type { OccasionRequest } from '@/boundary/requests/occasions'
import { DAY } from '@/core/units/time'
import type { Occasion } from '@/data/workshop/occasions'
import { Choice } from '@/ui/form/Choice'
import { Entry } from '@/ui/form/Entry'
import { textIn } from '@/ui/form/text-in'
import { momentOf, typedTime } from '@/ui/format/local-time'
import { useWorkshop } from '@/ui/units'

export type OneDate = RequestBody<OccasionRequest>

const REPEATS = { once: 0, 'every week': 7, 'every two weeks': 14, 'every four weeks': 28 } as const
const TIMES = ['4', '8', '12', '26', '52']

interface DateFormProps {
  /** A date to be changed; null for a new one. */
  readonly date: Occasion | null
  readonly shelf: readonly { readonly slug: string; readonly name: string }[]
  readonly refused: { readonly field: string | null; readonly sentence: string } | null
  /** Takes the date, and those that it is repeated on; true when they are kept. */
  readonly onKeep: (dates: readonly OneDate[]) => Promise<boolean>
  readonly children: ReactNode
}

/** A date: what, when, how long, for which instruments, how often. */
export function DateForm({ date, shelf, refused, onKeep, children }: DateFormProps) {
  const { timeZone } = useWorkshop()
  const [problem, setProblem] = useState<{ readonly field: string; readonly sentence: string } | null>(null)
  const [repeat, setRepeat] = useState<keyof typeof REPEATS>('once')
  const typed = date ? typedTime(date.at, timeZone) : { day: '', clock: '19:30' }
  const problemAt = (field: string) =>
    problem?.field === field
      ? problem.sentence
      : refused?.field?.split('.').at(-1) === field
        ? refused.sentence
        : undefined

  const keep = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault()
    const element = event.currentTarget
    const form = new FormData(element)
    setProblem(null)
    const at = momentOf(textIn(form, 'day'), textIn(form, 'clock'), timeZone)
    if (at === null) return setProblem({ field: 'at', sentence: 'Say the day and the hour.' })
    const names = textIn(form, 'instruments')
    const chosen = names === '' ? [] : names.split(/\s*[,;]\s*/).filter((name) => name !== '')
    const slugs = chosen.map(
      (name) => shelf.find((one) => one.name.toLowerCase() === name.toLowerCase() || one.slug === name)?.slug,
    )
    const unknown = slugs.indexOf(undefined)
    if (unknown >= 0)
      return setProblem({
        field: 'instruments',
        sentence: `No instrument on the shelf is called “${chosen[unknown]}”.`,
      })
    const hours = textIn(form, 'hours')
    const one = {
      name: textIn(form, 'name'),
      hours: hours === '' ? null : Number(hours.replace(',', '.')),
      instruments: slugs as readonly string[],
    }
    const step = REPEATS[repeat]
    const times = step === 0 ? 1 : Number(textIn(form, 'times'))
    // By the calendar, so that the hour stays when the clocks change.
    const dates = Array.from({ length: times }, (_, i) => {
      const day = typedTime(at + i * step * DAY, timeZone).day
      return { ...one, at: momentOf(day, textIn(form, 'clock'), timeZone) }
    })
    if (await onKeep(dates)) element.reset()
  }
  return (
    <form
      onSubmit={keep}
      noValidate
      className="grid grid-cols-2 gap-3 sm:grid-cols-[minmax(0,1fr)_11rem_9.5rem_8rem]"
    >
      <div className="col-span-2 sm:col-span-1">
        <Entry label="What it is" name="name" defaultValue={date?.name ?? ''} problem={problemAt('name')} />
      </div>
      <Entry label="Day" type="date" name="day" defaultValue={typed.day} problem={problemAt('at')} />
      <Entry label="Hour" type="time" name="clock" defaultValue={typed.clock} />
      <Entry
        label="Hours it lasts"
        name="hours"
        inputMode="decimal"
        placeholder="as usual"
        defaultValue={date?.hours ?? ''}
        problem={problemAt('hours')}
      />
      <div className="col-span-2 sm:col-span-4">
        <Entry
          label="For which instruments"
          hint="Names with commas between; none for all of them."
          name="instruments"
          defaultValue={(date?.instruments ?? [])
            .map((slug) => shelf.find((one) => one.slug === slug)?.name ?? slug)
            .join(', ')}
          problem={problemAt('instruments')}
        />
      </div>
      {date === null && (
        <>
          <Choice
            label="How often"
            options={Object.keys(REPEATS)}
            value={repeat}
            onChange={(event) => setRepeat(event.target.value as keyof typeof REPEATS)}
          />
          {repeat !== 'once' && <Choice label="Times in all" options={TIMES} name="times" />}
        </>
      )}
      <div className="col-span-2 flex flex-wrap items-center gap-2 sm:col-span-4">{children}</div>
    </form>
  )
}
