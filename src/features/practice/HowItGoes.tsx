'use client'

import { DRILLS, drillFacts, type Drill } from '@/core/practice/drill'
import type { DrillMeasured, Retention, Share, WeekMeasured } from '@/core/practice/measured'
import { ForgettingCurve } from '@/drawings/ForgettingCurve'
import type { PracticeView } from '@/data/views/practice-view'
import { PlainTable } from '@/ui/list/PlainTable'
import { nearText } from '@/ui/format/time'
import { useWorkshop } from '@/ui/units'

/** How practice goes, measured: how often right and how sure that is, how long, and what is forgotten. */
export function HowItGoes({ view, now }: { view: PracticeView; now: number }) {
  const { timeZone } = useWorkshop()
  const { measured, retention: kept, forgotten } = view
  if (measured.length === 0) return null
  const rows = DRILLS.flatMap((drill) => measured.find((one) => one.drill === drill) ?? [])
  return (
    <section className="sheet p-5" aria-labelledby="how">
      <h2 id="how" className="text-xl font-semibold">
        How it goes
      </h2>
      <PlainTable label="Drills, measured" heads={HEADS}>
        {rows.map((row) => (
          <DrillRow key={row.drill} row={row} />
        ))}
      </PlainTable>
      <p className="text-sm text-soft">
        A band holds the true share four times in five; times are those of a quarter, half and three quarters.
      </p>
      <div className="mt-5 grid grid-cols-[minmax(0,1fr)] gap-6 md:grid-cols-2">
        {kept.length > 0 && <Forgetting kept={kept} />}
        <div>
          <h3 className="text-lg font-semibold">Likeliest forgotten by now</h3>
          <ul className="ruled mt-1">
            {forgotten.map(({ about, recall, last }) => (
              <li key={about} className="flex flex-wrap justify-between gap-x-3 py-1">
                <span>{about}</span>
                <span className="text-soft">
                  known with {Math.round(100 * recall)} %, asked {nearText(last, now, timeZone)}
                </span>
              </li>
            ))}
          </ul>
        </div>
      </div>
    </section>
  )
}

const HEADS = [
  'Drill',
  'Right, and where the true share lies',
  'Time of the right ones',
  'Weeks',
  'Mistaken most',
].map((word) => ({ word }))

const OFF_UNITS: Partial<Record<Drill, string>> = { slack: 'wraps', raise: 'cents', tie: 'stages' }

function DrillRow({ row }: { row: DrillMeasured }) {
  const { drill, share, times, off, weeks, mistakes } = row
  return (
    <tr className="border-t border-rule align-middle">
      <th scope="row" className="py-2 pr-3 font-semibold">
        {drillFacts(drill).title}
      </th>
      <td className="py-2 pr-3">
        <ShareBar share={share} />
      </td>
      <td className="py-2 pr-3 whitespace-nowrap">
        {times ? `${seconds(times[1])} s (${seconds(times[0])} to ${seconds(times[2])})` : 'none right yet'}
        {off !== null && (
          <span className="block text-sm text-soft">
            {off.toFixed(1)} {OFF_UNITS[drill]} off in the middle
          </span>
        )}
      </td>
      <td className="py-2 pr-3">
        <Weeks weeks={weeks} />
      </td>
      <td className="py-2 text-sm">
        {mistakes.length === 0
          ? 'nothing'
          : mistakes.map(({ mistake, times: count }) => `${mistake} (${count})`).join('; ')}
      </td>
    </tr>
  )
}

const seconds = (value: number) => value.toFixed(value < 10 ? 1 : 0)

/** A share with its band. */
function ShareBar({ share: { right, of, band } }: { share: Share }) {
  const [from, to] = [100 * band[0], 100 * band[1]]
  return (
    <span className="flex items-center gap-2">
      <svg viewBox="0 0 100 14" className="h-4 w-28 shrink-0" aria-hidden>
        <path d="M0,7H100" stroke="var(--line)" strokeWidth={1} />
        <path d={`M${from},7H${to}`} stroke="var(--verdigris)" strokeWidth={6} opacity={0.35} />
        <circle cx={(100 * right) / of} cy={7} r={4} fill="var(--verdigris)" />
      </svg>
      <span className="whitespace-nowrap">
        {right} of {of}
        <span className="block text-sm text-soft">
          {Math.round(from)} to {Math.round(to)} %
        </span>
      </span>
    </span>
  )
}

/** Shares of the last weeks, one after the other. */
function Weeks({ weeks }: { weeks: readonly WeekMeasured[] }) {
  if (weeks.length < 2) return <span className="text-sm text-soft">one so far</span>
  const at = (week: WeekMeasured, i: number) =>
    `${4 + (72 * i) / (weeks.length - 1)},${26 - (22 * week.share.right) / week.share.of}`
  return (
    <svg
      viewBox="0 0 80 30"
      className="h-8 w-20"
      role="img"
      aria-label={`Week by week: ${weeks.map(({ share }) => `${share.right} of ${share.of}`).join(', ')} right`}
    >
      <path d="M2,26H78M2,4H78" stroke="var(--rule)" strokeWidth={1} />
      <path d={`M${weeks.map(at).join('L')}`} fill="none" stroke="var(--verdigris)" strokeWidth={2} />
      {weeks.map((week, i) => {
        const [x, y] = at(week, i).split(',')
        return <circle key={week.from} cx={x} cy={y} r={2.4} fill="var(--verdigris)" />
      })}
    </svg>
  )
}

/** What was still known after so many days, beside what was expected. */
function Forgetting({ kept }: { kept: readonly Retention[] }) {
  return (
    <div>
      <h3 className="text-lg font-semibold">Still known after so many days</h3>
      <ForgettingCurve kept={kept} className="mt-1 w-full max-w-md" />
      <p className="text-sm text-soft">Dots: what you knew. Dashed: what was expected.</p>
      <ul className="ruled mt-1">
        {kept.map(({ days, share, expected }) => (
          <li key={days[0]} className="grid grid-cols-[6.5rem_minmax(0,1fr)] items-center gap-2 py-1">
            <span>{daysWords(days)}</span>
            <span className="flex flex-wrap items-center gap-x-3">
              <ShareBar share={share} />
              <span className="text-sm text-soft">{Math.round(100 * expected)} % expected</span>
            </span>
          </li>
        ))}
      </ul>
    </div>
  )
}

const daysWords = ([from, to]: Retention['days']) =>
  from === 0 ? `under ${to} days` : to === Infinity ? `over ${from} days` : `${from} to ${to} days`
