'use client'

import Link from 'next/link'
import { pages } from '@/boundary/paths'
import { conditionWord } from '@/core/wear/signs'
import type { BeforeDate, StringBefore } from '@/data/views/before-date'
import { fineChanceText } from '@/ui/format/chance'
import { momentText } from '@/ui/format/time'
import { PlainTable, type TableHead } from '@/ui/list/PlainTable'
import { useWorkshop } from '@/ui/units'
import { ageText } from './class-words'
import { isInTime } from './use-changes'

interface ChangeListProps {
  readonly before: BeforeDate
  readonly ticked: ReadonlySet<number>
  readonly onToggle: (number: number) => void
  /** Whether all strings are shown, or those that matter. */
  readonly all: boolean
  readonly onAll: () => void
}

/** Strings that are shown before all are asked for. */
const SHOWN = 12
const OF_STRINGS: readonly TableHead[] = [
  { word: 'String' },
  { word: 'On for' },
  { word: 'Breaks too late', isFigure: true },
  { word: 'Latest', isSpare: true },
]
const isWorn = ({ look }: StringBefore) => look?.condition === 'worn' || look?.condition === 'fraying'

/** What is worn first, then by what each risks; ticked to be changed. */
export function ChangeList({ before: { strings, slug }, ticked, onToggle, all, onAll }: ChangeListProps) {
  const { timeZone } = useWorkshop()
  const sorted = [...strings].sort(
    (a, b) => Number(isWorn(b)) - Number(isWorn(a)) || b.risk - a.risk || a.number - b.number,
  )
  const shown = all ? sorted : sorted.filter((one, i) => i < SHOWN || isWorn(one) || ticked.has(one.number))
  return (
    <section aria-labelledby="to-change">
      <h2 id="to-change" className="text-xl font-semibold">
        What to change
      </h2>
      <PlainTable label="Strings to change" heads={OF_STRINGS}>
        {shown.map((one) => (
          <tr key={one.number} className="border-b border-rule">
            <th className="pr-3 font-semibold">
              {one.jobId !== null ? (
                <Link href={pages.job(one.jobId)} className="flex min-h-11 items-center hover:underline">
                  <span className="first-letter:uppercase">{one.name}</span>
                </Link>
              ) : (
                <label className="flex min-h-11 items-center gap-2">
                  <input
                    type="checkbox"
                    className="size-5 shrink-0 accent-verdigris"
                    checked={ticked.has(one.number)}
                    disabled={!isInTime(one)}
                    onChange={() => onToggle(one.number)}
                  />
                  <span className="inline-block first-letter:uppercase">{one.name}</span>
                </label>
              )}
            </th>
            <td className="py-1 pr-3 text-sm">
              {one.age === null ? (
                <strong className="text-ochre">no string on</strong>
              ) : one.ageUnknown ? (
                <strong className="text-ochre">not known</strong>
              ) : (
                ageText(one.age)
              )}
              {one.look && (
                <span className={`block ${isWorn(one) ? 'font-semibold text-ochre' : 'text-soft'}`}>
                  {conditionWord(one.look.condition)}
                </span>
              )}
            </td>
            <td className="py-1 pr-3 text-right">
              {one.jobId !== null ? (
                <span className="text-sm text-ochre">its job is open</span>
              ) : (
                fineChanceText(one.risk)
              )}
            </td>
            <td className="hidden py-1 pl-3 text-sm sm:table-cell print:table-cell">
              {one.latest === null ? (
                <span className="text-soft">too late to settle</span>
              ) : (
                momentText(one.latest, timeZone)
              )}
            </td>
          </tr>
        ))}
      </PlainTable>
      <p className="mt-1 max-w-prose text-sm text-soft">
        “Too late” is after the latest hour at which a new string still settles for the date. What breaks
        before, you can mend.{' '}
        <Link
          href={pages.instrumentSheet(slug, 'inspection')}
          className="underline underline-offset-2"
          prefetch={false}
        >
          Look the strings over
        </Link>{' '}
        and this gets surer.
      </p>
      {shown.length < strings.length && (
        <button type="button" className="button mt-2 print:hidden" onClick={onAll}>
          All {strings.length} strings
        </button>
      )}
    </section>
  )
}
