'use client'

import Link from 'next/link'
import type { FormEvent } from 'react'
import { setUpCalls } from '@/boundary/endpoints-set-up'
import { pages } from '@/boundary/paths'
import type { StringPosition } from '@/core/instrument/instrument'
import { measure } from '@/core/measure'
import type { QuantityKey } from '@/core/measuring/quantity'
import type { MeasuringPlan, Sureness } from '@/core/measuring/worth'
import { MeasureDrawing } from '@/drawings/MeasureDrawing'
import { withUnit } from '@/ui/format/gauge-typed'
import { Figure } from '@/ui/figure/Figure'
import { Entry } from '@/ui/form/Entry'
import { textIn } from '@/ui/form/text-in'
import { measureText, type Units } from '@/ui/format/measure'
import { BackLink } from '@/ui/shell/BackLink'
import { useAct } from '@/ui/shell/use-act'
import { useWorkshop } from '@/ui/units'
import { useLeadingNames } from '@/ui/use-leading-names'
import { measureWords } from './measure-words'

interface MeasuringSheetProps {
  readonly slug: string
  readonly name: string
  /** How much was measured already. */
  readonly count: number
  readonly positions: readonly StringPosition[]
  readonly plan: MeasuringPlan
}

/** What to measure next on an instrument that came from a preset, and how sure its figures are until then. */
export function MeasuringSheet({ slug, name, count, positions, plan: { now, next } }: MeasuringSheetProps) {
  const { unit } = useWorkshop()
  const leadingNames = useLeadingNames()
  const nameOf = (number: number) => {
    const position = positions[number - 1]
    return position ? leadingNames(position).name : `string ${number}`
  }
  const [first, ...later] = next.map((one) => ({
    ...one,
    words: measureWords(one.quantity.key, nameOf, Math.floor((one.quantity.from + one.quantity.to) / 2)),
  }))
  const text = (metres: number) => measureText(measure('length', metres), unit)
  return (
    <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_24rem]">
      <section className="sheet p-4 md:p-6" aria-labelledby="measuring">
        <BackLink to={pages.instrument(slug)}>{name}</BackLink>
        <h1 id="measuring" className="text-2xl font-semibold">
          Measuring {name}
        </h1>
        <p className="max-w-prose text-soft">
          {count === 0
            ? 'Nothing is measured yet: all lengths and gauges are what its family usually has.'
            : `${count === 1 ? 'One thing is' : `${count} things are`} measured; the rest is what its family usually has.`}
        </p>
        <p className="mt-3 flex flex-wrap gap-2">
          <Link className="button" href={pages.instrumentSheet(slug, 'photo')}>
            From a photograph
          </Link>
          <Link className="button" href={pages.instrumentSheet(slug, 'measuring-sheet')}>
            A sheet to print
          </Link>
        </p>
        {first ? (
          <Next key={first.quantity.key} slug={slug} first={first} text={text} />
        ) : (
          <p className="mt-5 border-l-4 border-verdigris bg-verdigris-wash p-4 font-semibold">
            More measuring is not worth it: what is left in doubt comes from many small things. Set the chart
            right where you know better.
          </p>
        )}
        {later.length > 0 && (
          <>
            <h2 className="mt-6 text-lg font-semibold">Then</h2>
            <ol className="ruled" start={2}>
              {later.map(({ quantity, words, cutAfter }) => (
                <li key={quantity.key} className="flex flex-wrap items-baseline justify-between gap-3 py-2">
                  <span>{words.what}</span>
                  <span className="text-sm text-soft">cuts sure to ± {text(cutAfter)}</span>
                </li>
              ))}
            </ol>
          </>
        )}
      </section>
      <Doubts now={now} positions={positions} nameOf={nameOf} />
    </div>
  )
}

interface NextProps {
  readonly slug: string
  readonly first: MeasuringPlan['next'][number] & {
    readonly words: { readonly what: string; readonly how: string }
  }
  readonly text: (metres: number) => string
}

/** The one thing to measure now, with a field for it. */
function Next({ slug, first: { quantity, words, takes, cutAfter }, text }: NextProps) {
  const { unit, gaugeUnit, units } = useWorkshop()
  const { act, refused } = useAct()
  const isGauge = quantity.key.startsWith('gauge')
  const assumed = assumedText(quantity.key, quantity.value, units, text)
  const keep = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault()
    const typed = textIn(new FormData(event.currentTarget), 'value')
    const value = isGauge ? withUnit(typed, gaugeUnit) : typed
    void act(setUpCalls.measureInstrument(slug), { key: quantity.key, unit, value }, `${words.what}: kept.`)
  }
  return (
    <div className="mt-5 grid gap-5 border-t border-ink pt-4 md:grid-cols-[minmax(0,1fr)_16rem]">
      <div>
        <p className="label">Measure next</p>
        <h2 className="text-2xl font-semibold">{words.what}</h2>
        <p className="mt-1 max-w-prose">{words.how}</p>
        <p className="mt-1 text-sm text-soft">
          Assumed {assumed}. Measured, it takes {Math.round(takes * 100)} % of the doubt away, and a typical
          cut is sure to ± {text(cutAfter)}.
        </p>
        <form onSubmit={keep} noValidate className="mt-3 flex flex-wrap items-start gap-3">
          <div className="w-48">
            <Entry
              label={`You measure, ${isGauge ? gaugeUnit : unit}`}
              name="value"
              inputMode="decimal"
              problem={refused?.sentence}
            />
          </div>
          <button type="submit" className="button button-main mt-7 min-h-12">
            Keep it
          </button>
        </form>
      </div>
      <MeasureDrawing of={quantity.key} text={assumed} />
    </div>
  )
}

function assumedText(
  key: QuantityKey,
  value: number,
  units: Units,
  text: (metres: number) => string,
): string {
  if (key.startsWith('gauge')) return measureText(measure('gauge', value), units)
  return key === 'pin' ? measureText(measure('width', value), units) : text(value)
}

/** Strings whose doubt is told: both ends and what lies between. */
const TOLD = 7

/** How sure the figures are now, string by string. */
function Doubts({
  now,
  positions,
  nameOf,
}: {
  readonly now: readonly Sureness[]
  readonly positions: readonly StringPosition[]
  readonly nameOf: (number: number) => string
}) {
  const { unit } = useWorkshop()
  const typical = (of: (one: Sureness) => number) => now.map(of).sort((a, b) => a - b)[now.length >> 1] ?? 0
  const step = Math.max(1, (now.length - 1) / (TOLD - 1))
  const told = [...new Set(Array.from({ length: TOLD }, (_, i) => Math.round(i * step)))].flatMap(
    (i) => now[i] ?? [],
  )
  return (
    <section className="sheet p-4 md:p-5" aria-labelledby="sure">
      <h2 id="sure" className="text-xl font-semibold">
        How sure the figures are
      </h2>
      <p className="text-sm text-soft">Two in three true values lie within ± this.</p>
      <div className="mt-3 flex flex-wrap gap-x-6 gap-y-2">
        <Figure
          label="Cut ±"
          measure={measure(
            'length',
            typical(({ cut }) => cut),
          )}
        />
        <Figure
          label="Slack ±"
          measure={measure(
            'length',
            typical(({ slack }) => slack),
          )}
        />
        <Figure
          label="To breaking ±"
          measure={measure(
            'semitones',
            typical(({ margin }) => margin),
          )}
        />
      </div>
      <table className="mt-4 w-full text-sm tabular-nums">
        <thead className="text-soft">
          <tr className="border-b border-ink text-right">
            <th scope="col" className="text-left font-normal">
              String
            </th>
            <th scope="col" className="font-normal">
              Cut ±
            </th>
            <th scope="col" className="font-normal">
              Slack ±
            </th>
          </tr>
        </thead>
        <tbody>
          {told.map(({ number, cut, slack }) => (
            <tr key={number} className="border-b border-rule text-right">
              <th scope="row" className="py-1.5 text-left font-normal">
                {positions[number - 1] ? nameOf(number) : number}
              </th>
              <td>{measureText(measure('length', cut), unit)}</td>
              <td>{measureText(measure('length', slack), unit)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}
