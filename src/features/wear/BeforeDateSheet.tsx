'use client'

import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useDeferredValue, useMemo, useState } from 'react'
import { endpoints } from '@/boundary/endpoints'
import { pages } from '@/boundary/paths'
import { moneyText } from '@/core/stores/money'
import { DAY } from '@/core/units/time'
import { MOST_TOGETHER } from '@/core/wear/kit'
import { statedHolds } from '@/core/wear/on-since'
import type { BeforeDate } from '@/data/views/before-date'
import { Selection } from '@/ui/form/Selection'
import { chanceText, fineChanceText } from '@/ui/format/chance'
import { momentText } from '@/ui/format/time'
import { UnknownAges } from '@/ui/figure/UnknownAges'
import { PrintButton } from '@/ui/shell/PrintButton'
import { useAct } from '@/ui/shell/use-act'
import { useWorkshop } from '@/ui/units'
import { ChangeList } from './ChangeList'
import { KitList, type Carried } from './KitList'
import { movedBy } from './moved-date'
import { StepsBought } from './StepsBought'
import { useChanges } from './use-changes'

interface BeforeDateSheetProps {
  /** Null where no date is ahead. */
  readonly before: BeforeDate | null
}

/** An instrument before a date: what to change, by when, what it buys, and what to carry. */
export function BeforeDateSheet({ before }: BeforeDateSheetProps) {
  if (before) return <Before before={before} />
  return (
    <section className="sheet p-4 md:p-5" aria-label="Before a date">
      <h1 className="text-2xl font-semibold">Before a date</h1>
      <p className="text-soft">
        Set a date, and the program says which strings to change for it and what to carry.
      </p>
      <Link href={pages.dates} className="button button-main mt-3">
        Set a date
      </Link>
    </section>
  )
}

/** A date is moved by so many days at most. */
const MOST_DAYS = 60

function Before({ before: asSet }: { readonly before: BeforeDate }) {
  const [days, setDays] = useState(0)
  const before = useMemo(() => movedBy(asSet, days), [asSet, days])
  const { date, dates, slug, instruments, instrumentName, strings, sureChance, currency, stores } = before
  const { timeZone } = useWorkshop()
  const router = useRouter()
  const { act, refused } = useAct()
  const changes = useChanges(before)
  // The kit is reckoned when the ticks have come to rest.
  const tickedForKit = useDeferredValue(changes.ticked)
  const beforeForKit = useDeferredValue(before)
  const mayCarry = useMemo(
    () => beforeForKit.strings.map((one): Carried => ({ ...one, isNew: tickedForKit.has(one.number) })),
    [beforeForKit, tickedForKit],
  )
  const [all, setAll] = useState(false)
  const changed = strings.filter(({ number }) => changes.ticked.has(number))
  const asItIs = changes.steps[0]?.holds ?? 1
  const unknown = strings.filter(({ ageUnknown }) => ageUnknown).length
  const leftUnknown = strings.filter((one) => one.ageUnknown && !changes.ticked.has(one.number)).length
  const open = async () => {
    const left = new Map(Object.entries(stores).map(([kind, { cuts }]) => [kind, cuts]))
    const bought = changed
      .filter(({ kind }) => {
        const cuts = left.get(kind) ?? 0
        left.set(kind, cuts - 1)
        return cuts <= 0
      })
      .map(({ number }) => number)
    const opened = await act(
      endpoints.openReplacements,
      { instrument: slug, strings: changed.map(({ number }) => number), bought },
      `${changed.length === 1 ? 'A string' : `${changed.length} strings`} of ${instrumentName} to be changed.`,
    )
    if (opened) router.push(pages.job(opened.jobId))
  }
  return (
    <section
      className="sheet max-w-5xl p-4 md:p-5 print:border-0 print:p-0 print:shadow-none"
      aria-label="Before a date"
    >
      <header className="flex flex-wrap items-end justify-between gap-3 border-b border-ink pb-3">
        <div>
          <h1 className="text-2xl font-semibold">
            {instrumentName} before {date.name}
          </h1>
          <p className="text-soft">{momentText(date.at, timeZone)}</p>
          <label className="mt-1 flex flex-wrap items-center gap-x-3 text-sm print:hidden">
            {days === 0 ? 'If it were moved' : `If it were ${daysText(days)}`}
            <input
              type="range"
              className="h-8 w-56 accent-verdigris"
              min={Math.ceil((before.now - asSet.date.at) / DAY)}
              max={MOST_DAYS}
              value={days}
              aria-valuetext={days === 0 ? 'as it is set' : daysText(days)}
              onChange={(event) => setDays(Number(event.target.value))}
            />
            {days !== 0 && (
              <button type="button" className="button" onClick={() => setDays(0)}>
                As it is set
              </button>
            )}
          </label>
        </div>
        <div className="flex flex-wrap items-end gap-2 print:hidden">
          {instruments.length > 1 && (
            <Selection
              label="Instrument"
              value={slug}
              options={instruments.map((one) => ({ value: one.slug, word: one.name }))}
              choose={(on) => router.push(pages.beforeDate(date.id, on))}
            />
          )}
          {dates.length > 1 && (
            <Selection
              label="Date"
              value={date.id}
              options={dates.map(({ id, name }) => ({ value: id, word: name }))}
              choose={(id) => router.push(pages.beforeDate(id, slug))}
            />
          )}
          <PrintButton isMain={false} />
        </div>
      </header>
      <div className="mt-3 flex flex-wrap items-end justify-between gap-x-6 gap-y-3">
        <p aria-live="polite">
          <span className="plate-figure text-4xl">
            {fineChanceText(statedHolds(changes.holds, leftUnknown))}
          </span>{' '}
          <span className="text-lg">
            chance that nothing breaks too late to mend
            {changes.ticked.size > 0 && (
              <span className="text-soft">; as it is now {fineChanceText(statedHolds(asItIs, unknown))}</span>
            )}
          </span>
          <span className="block text-soft">
            {changes.ticked.size === 0
              ? 'Nothing is to be changed.'
              : `${changes.ticked.size === 1 ? 'One string' : `${changes.ticked.size} strings`} changed: ${moneyText(changes.cost, currency)} with the work.`}{' '}
            The house wants {chanceText(sureChance)}
            {changes.isEnough ? '.' : ', which no change of strings reaches.'}
          </span>
          <UnknownAges unknown={unknown} of={strings.length} />
        </p>
        {changed.length > 0 && (
          <button type="button" className="button button-main print:hidden" onClick={open}>
            Open {changed.length === 1 ? 'its job' : 'their job'}
          </button>
        )}
      </div>
      {refused && (
        <p role="alert" className="mt-2 font-semibold text-ochre">
          {refused.sentence}
        </p>
      )}
      <div className="mt-4 grid items-start gap-x-8 gap-y-5 lg:grid-cols-[minmax(0,1fr)_19rem]">
        <ChangeList
          before={before}
          ticked={changes.ticked}
          onToggle={changes.toggle}
          all={all}
          onAll={() => setAll(true)}
        />
        <StepsBought
          steps={changes.steps}
          ticked={changes.ticked}
          unknown={strings.flatMap(({ number, ageUnknown }) => (ageUnknown ? [number] : []))}
          sureChance={sureChance}
          currency={currency}
          nameOf={(number) => strings.find((one) => one.number === number)?.name ?? ''}
          onTake={changes.take}
        />
      </div>
      <KitList
        strings={mayCarry}
        rates={before.rates}
        stores={stores}
        anchors={before.anchors}
        sureChance={sureChance}
        who={instrumentName}
      />
      {instruments.length > 1 && instruments.length <= MOST_TOGETHER && (
        <p className="mt-3 print:hidden">
          <Link className="button" href={pages.kitFor(date.id)}>
            One kit for all {instruments.length} instruments
          </Link>
        </p>
      )}
    </section>
  )
}

/** `12 days later` */
function daysText(days: number): string {
  const count = Math.abs(days) === 1 ? 'a day' : `${Math.abs(days)} days`
  return `${count} ${days < 0 ? 'earlier' : 'later'}`
}
