'use client'

import { useState, type FormEvent } from 'react'
import { callsByHand } from '@/boundary/endpoints-by-hand'
import type { StringPosition } from '@/core/instrument/instrument'
import { OLDEST } from '@/core/wear/on-since'
import type { PositionView } from '@/data/views/instrument-view'
import { Entry } from '@/ui/form/Entry'
import { useAct } from '@/ui/shell/use-act'

interface OnAlreadyProps {
  readonly slug: string
  readonly position: StringPosition
  readonly on: PositionView['on']
  readonly hasJob: boolean
  /** Strings of the instrument of which nobody knows since when they are on, by number. */
  readonly unknown: readonly number[]
  readonly now: number
}

/** A string that nobody saw put on: since when it is on, as far as anybody knows, and the form to say it. */
export function OnAlready({ slug, position, on, hasJob, unknown, now }: OnAlreadyProps) {
  const [isAsking, setIsAsking] = useState(false)
  if (isAsking)
    return (
      <SinceForm
        slug={slug}
        number={position.number}
        unknown={unknown}
        isOn={on !== null}
        now={now}
        onDone={() => setIsAsking(false)}
      />
    )
  return (
    <>
      {on === null ? (
        <strong className="text-ochre">no string</strong>
      ) : on.since === 'about' ? (
        `since about ${new Date(on.at).getUTCFullYear()}`
      ) : (
        <strong className="text-ochre">a string of unknown age</strong>
      )}
      {!hasJob && (
        <button
          type="button"
          className="ml-2 inline-flex min-h-8 items-center underline underline-offset-2"
          onClick={() => setIsAsking(true)}
        >
          {on === null ? 'A string is on' : on.since === 'about' ? 'Change the year' : 'Enter the year'}
        </button>
      )}
    </>
  )
}

interface SinceFormProps {
  readonly slug: string
  readonly number: number
  readonly unknown: readonly number[]
  readonly isOn: boolean
  readonly now: number
  readonly onDone: () => void
}

/** The year of a string, or of all of which it is not known. */
function SinceForm({ slug, number, unknown, isOn, now, onDone }: SinceFormProps) {
  const { act, refused } = useAct()
  const [year, setYear] = useState('')
  const [forAll, setForAll] = useState(false)
  const others = unknown.filter((one) => one !== number)
  const say = async (on: 'about' | 'unknown' | 'none', numbers: readonly number[]) => {
    const which = numbers.length === 1 ? `String ${number}` : `${numbers.length} strings`
    const what = on === 'about' ? `on since about ${year}` : on === 'none' ? 'not on' : 'on, age unknown'
    const body = { numbers, on, year: on === 'about' ? Number(year) : null }
    if (await act(callsByHand.sayOnSince(slug), body, `${which}: ${what}.`)) onDone()
  }
  const submit = (event: FormEvent) => {
    event.preventDefault()
    void say(year.trim() === '' ? 'unknown' : 'about', forAll ? [number, ...others] : [number])
  }
  const thisYear = new Date(now).getUTCFullYear()
  return (
    <form onSubmit={submit} noValidate className="grid gap-2">
      <Entry
        label="Put on about"
        hint={`A year from ${thisYear - OLDEST} to ${thisYear}. Leave it empty if nobody knows.`}
        inputMode="numeric"
        value={year}
        onChange={(event) => setYear(event.target.value)}
        problem={refused?.sentence}
      />
      {others.length > 0 && (
        <label className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-5 shrink-0 accent-verdigris"
            checked={forAll}
            onChange={(event) => setForAll(event.target.checked)}
          />
          And the {others.length === 1 ? 'other string' : `other ${others.length} strings`} of unknown age
        </label>
      )}
      <div className="flex flex-wrap gap-2">
        <button type="submit" className="button button-main">
          Save
        </button>
        {isOn && (
          <button type="button" className="button" onClick={() => void say('none', [number])}>
            No string is on
          </button>
        )}
        <button type="button" className="button" onClick={onDone}>
          Cancel
        </button>
      </div>
    </form>
  )
}
