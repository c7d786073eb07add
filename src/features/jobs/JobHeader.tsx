'use client'

import Link from 'next/link'
import { pages } from '@/boundary/paths'
import type { StringPosition } from '@/core/instrument/instrument'
import { numberName } from '@/core/instrument/names'
import { useLeadingNames } from '@/ui/use-leading-names'

export const STAGES = [
  { key: 'coil', word: 'Coil' },
  { key: 'figures', word: 'Figures' },
  { key: 'steps', word: 'Steps' },
  { key: 'log', word: 'Log' },
] as const
export type Stage = (typeof STAGES)[number]['key'] | 'done'

interface JobHeaderProps {
  readonly jobId: number
  readonly instrumentName: string
  readonly slug: string
  readonly position: StringPosition
  readonly strings: number
  readonly stage: Stage
  /** Whether it is settled what goes on: a coil chosen, or the same string. */
  readonly hasString: boolean
  readonly finished: boolean
  /** What one should know before touching the instrument; empty where nobody said. */
  readonly notes: string
}

/** Which string is being fitted, and how far the job is. */
export function JobHeader({
  jobId,
  instrumentName,
  slug,
  position,
  strings,
  stage,
  hasString,
  finished,
  notes,
}: JobHeaderProps) {
  const leadingNames = useLeadingNames()
  const { name, beside } = leadingNames(position)
  return (
    <header className="flex flex-wrap items-end justify-between gap-3 border-b border-ink pb-3">
      <div>
        <h1 className="text-2xl font-semibold">
          {name} of{' '}
          <Link
            href={pages.instrument(slug, position.number)}
            className="underline decoration-rule underline-offset-4 hover:decoration-ink"
          >
            {instrumentName}
          </Link>
        </h1>
        <p className="text-sm text-soft">
          {beside}
          {numberName(position) === name || beside.startsWith(numberName(position))
            ? ''
            : `, ${numberName(position)}`}
          {strings > 1 ? `; one wire that is ${strings} strings` : ''}
        </p>
        {notes !== '' && !finished && (
          <p className="mt-1 max-w-prose text-sm font-semibold whitespace-pre-line">{notes}</p>
        )}
      </div>
      {!finished && (
        <nav aria-label="Stages of the fitting">
          <ol className="flex gap-1 text-sm">
            {STAGES.map(({ key, word }, i) => {
              const open = key === 'coil' || hasString
              const here = key === stage
              const look = `flex min-h-11 items-center gap-2 border-b-2 px-3 ${here ? 'border-verdigris font-semibold text-ink' : 'border-transparent text-soft'}`
              return (
                <li key={key}>
                  {open ? (
                    <Link
                      href={pages.jobSheet(jobId, key)}
                      aria-current={here ? 'step' : undefined}
                      className={look}
                    >
                      {i + 1} {word}
                    </Link>
                  ) : (
                    <span className={look}>
                      {i + 1} {word}
                    </span>
                  )}
                </li>
              )
            })}
          </ol>
        </nav>
      )}
    </header>
  )
}
