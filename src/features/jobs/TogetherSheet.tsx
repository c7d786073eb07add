'use client'

import Link from 'next/link'
import { useState } from 'react'
import { Plus, X } from 'lucide-react'
import { endpoints } from '@/boundary/endpoints'
import { pages } from '@/boundary/paths'
import { parseNumbers } from '@/core/instrument/read-numbers'
import type { Instrument } from '@/core/instrument/instrument'
import { useAct } from '@/ui/shell/use-act'

interface TogetherSheetProps {
  readonly jobId: number
  readonly instrument: Instrument
  readonly strings: readonly {
    readonly jobId: number
    readonly number: number
    readonly called: number
    readonly name: string
    readonly from: string | null
    readonly broke: boolean
  }[]
}

/** The strings of a job, and taking further ones into it. */
export function TogetherSheet({ jobId, instrument, strings }: TogetherSheetProps) {
  const { act, refused, refuse } = useAct()
  const [text, setText] = useState('')
  const add = async (numbers: readonly number[], what: string) => {
    if (await act(endpoints.addStrings(jobId), { strings: numbers }, what)) setText('')
  }
  const typed = () => {
    try {
      const numbers = parseNumbers(text, instrument.positions.length)
      void add(
        numbers,
        numbers.length === 1
          ? `String ${numbers[0]} is taken into the job.`
          : `${numbers.length} strings are taken into the job.`,
      )
    } catch (error) {
      refuse({ sentence: (error as RangeError).message, field: null })
    }
  }
  return (
    <section aria-label="Strings of this job" className="mt-4 border-t border-ink pt-3">
      <h2 className="text-xl font-semibold">Strings of this job</h2>
      <ul className="mt-2 flex flex-wrap gap-2">
        {strings.map((string) => (
          <li
            key={string.jobId}
            className={`flex items-center border ${string.jobId === jobId ? 'border-verdigris bg-verdigris-wash' : 'border-rule'}`}
          >
            <Link
              href={pages.jobSheet(string.jobId, string.from === null ? 'coil' : 'figures')}
              className="flex min-h-11 flex-col justify-center px-3 text-sm leading-tight"
              aria-current={string.jobId === jobId ? 'true' : undefined}
            >
              <span className="font-semibold">
                {string.called} · {string.name}
              </span>
              <span className={string.from === null ? 'text-ochre' : 'text-soft'}>
                {string.from ?? 'no coil yet'}
                {string.broke ? '' : '; still on'}
              </span>
            </Link>
            {strings.length > 1 && (
              <button
                type="button"
                className="grid size-11 place-items-center"
                aria-label={`Take string ${string.number} out of this job`}
                onClick={() =>
                  act(endpoints.leaveJob(string.jobId), {}, `String ${string.number} is out of this job.`)
                }
              >
                <X size={16} aria-hidden />
              </button>
            )}
          </li>
        ))}
      </ul>
      <form
        className="mt-3 flex flex-wrap items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault()
          typed()
        }}
        noValidate
      >
        <label className="block text-sm">
          Take in further strings
          <input
            className="entry mt-1 block w-52"
            placeholder="12, 14-17"
            autoComplete="off"
            value={text}
            onChange={(event) => setText(event.target.value)}
          />
        </label>
        <button type="submit" className="button">
          <Plus size={18} aria-hidden /> Take in
        </button>
        <button
          type="button"
          className="button"
          onClick={() =>
            add(
              instrument.positions.map((p) => p.number),
              'Every string is taken into the job.',
            )
          }
        >
          All strings
        </button>
      </form>
      {refused && (
        <p role="alert" className="mt-2 font-semibold text-ochre">
          {refused.sentence}
        </p>
      )}
    </section>
  )
}
