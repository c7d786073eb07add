'use client'

import { useMemo, useState } from 'react'
import { TO_CHANGE } from '@/core/fitting/covered'
import { firstOfPieces } from '@/core/instrument/instrument'
import { moneyText } from '@/core/stores/money'
import type { Rates } from '@/core/wear/life'
import type { LifeClass } from '@/core/wear/life-class'
import { setOrSingle } from '@/core/wear/set-or-single'
import type { InstrumentWear } from '@/data/views/wear-of-instrument'
import { Selection } from '@/ui/form/Selection'
import { CLASS_WORDS } from './class-words'

const YEARS = [2, 3, 5, 10] as const
/** Each time that one sets out the others are tuned again, min. */
const EACH_TIME = TO_CHANGE.settingOut + TO_CHANGE.tuningTheRest

/** Whether to change all strings of a kind now, or each as it breaks: by simulated lives, with the error of that. */
export function SetOrSingle({ wear }: { readonly wear: InstrumentWear }) {
  const { instrument, strings, prices, rates, hourMinor, currency } = wear
  const firsts = useMemo(() => new Set(firstOfPieces(instrument).map(({ number }) => number)), [instrument])
  const classes = [...new Set(strings.map(({ lifeClass }) => lifeClass))]
  const [chosen, setChosen] = useState<LifeClass | ''>('')
  const [years, setYears] = useState<number>(5)
  const section = useMemo(
    () => strings.filter(({ lifeClass, number }) => lifeClass === chosen && firsts.has(number)),
    [strings, chosen, firsts],
  )
  const answer = useMemo(
    () =>
      section.length === 0
        ? null
        : setOrSingle(
            rates as Rates,
            section.map(({ lifeClass, age, pace, number }) => ({
              lifeClass,
              age,
              pace,
              price: prices[number] ?? 0,
            })),
            { perString: (TO_CHANGE.string / 60) * hourMinor, perTime: (EACH_TIME / 60) * hourMinor },
            years,
          ),
    [section, years, rates, prices, hourMinor],
  )
  if (classes.length === 0) return null
  const money = (minor: number) => moneyText(Math.round(minor), currency)
  return (
    <section className="mt-4 border-t border-ink pt-3" aria-labelledby="set-or-single">
      <h2 id="set-or-single" className="text-lg font-semibold">
        All of a kind at once, or each as it breaks?
      </h2>
      <div className="mt-1 flex flex-wrap gap-3">
        <Selection<LifeClass | ''>
          label="Strings"
          value={chosen}
          options={[
            { value: '', word: 'choose a kind' },
            ...classes.map((value) => ({ value, word: CLASS_WORDS[value] })),
          ]}
          choose={setChosen}
        />
        <Selection
          label="Over the next"
          value={years}
          options={YEARS.map((value) => ({ value, word: `${value} years` }))}
          choose={setYears}
        />
      </div>
      {answer && (
        <p className="mt-2" aria-live="polite">
          <strong>
            {Math.abs(answer.saves) < 2 * answer.error
              ? 'It comes to the same.'
              : answer.saves > 0
                ? `Change all ${section.length} now: it saves ${money(answer.saves)}.`
                : `Change each as it breaks: it saves ${money(-answer.saves)}.`}
          </strong>{' '}
          All now: {money(answer.set)}, with {answer.breaksSet.toFixed(1)} breaks to come. Each as it breaks:{' '}
          {money(answer.single)}, with {answer.breaksSingle.toFixed(1)} breaks.{' '}
          <span className="text-soft">
            From 4,000 simulated lives; the difference is known to ± {money(answer.error)}. Strings, work and
            the tuning after each time are counted.
          </span>
        </p>
      )}
    </section>
  )
}
