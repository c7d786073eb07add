'use client'

import { differenceInDays } from 'date-fns'
import Link from 'next/link'
import type { ReactNode } from 'react'
import { pages } from '@/boundary/paths'
import { isInferred } from '@/core/chart/infer-wound'
import { restFigures } from '@/core/fitting/figures'
import { marginWorking, tensionWorking } from '@/core/fitting/workings'
import type { Instrument, StringPosition } from '@/core/instrument/instrument'
import {
  countedFromWord,
  leadingNames,
  shortestFNotice,
  spokenLine,
  stringNames,
} from '@/core/instrument/names'
import { measure } from '@/core/measure'
import { materialWord } from '@/core/strings/construction'
import { stillWritten } from '@/core/strings/written-lengths'
import type { PositionView } from '@/data/views/instrument-view'
import { Figure } from '@/ui/figure/Figure'
import { MarginBar } from '@/ui/figure/MarginBar'
import { measureText } from '@/ui/format/measure'
import { dateText } from '@/ui/format/time'
import { useWorkshop } from '@/ui/units'
import { OnAlready } from './OnAlready'

const COLOUR_WORDS = {
  red: 'red, a C string',
  black: 'black, an F string',
  blue: 'blue, an F string',
  natural: 'natural',
} as const

interface PlateProps {
  readonly instrument: Instrument
  readonly position: StringPosition
  readonly view: PositionView
  /** Strings of which nobody knows since when they are on, by number. */
  readonly unknown: readonly number[]
  readonly now: number
  /** What the stores hold for it, in a few words. */
  readonly spare: string
  /** Whether the figures are folded away to make room for a question. */
  readonly folded: boolean
  readonly children: ReactNode
}

/** The picked string's identity and figures, engraved like the plate on an instrument. */
export function Plate({ instrument, position, view, unknown, now, spare, folded, children }: PlateProps) {
  const names = stringNames(instrument, position)
  const figures = restFigures(instrument, position)
  const { timeZone, units, octaveNames } = useWorkshop()
  const leading = leadingNames(position, octaveNames)
  const writtenGauge = stillWritten(position.written?.gauge, figures.gauge)
  const notice = shortestFNotice(instrument)
  const swatch =
    position.colour === 'red' ? 'bg-string-c' : position.colour === 'natural' ? 'bg-rule' : 'bg-string-f'
  return (
    <section aria-label="Plate of the picked string" className="sheet flex flex-col gap-4 p-5">
      <div>
        <h2 className="flex items-center gap-3 text-3xl leading-none font-semibold" aria-live="polite">
          <span className={`inline-block h-7 w-2 ${swatch}`} aria-hidden />{' '}
          <span className="inline-block first-letter:uppercase">{leading.name}</span>
        </h2>
        <p className="mt-2 text-soft">
          {leading.beside}, {COLOUR_WORDS[position.colour]}
          {names.within ? `; ${names.within}` : ''}
        </p>
        <dl className="mt-3 grid grid-cols-[auto_1fr_auto_1fr] gap-x-3 gap-y-1 text-sm">
          <dt className="text-soft">{countedFromWord(instrument)}</dt>
          <dd className="font-semibold">{position.called.number}</dd>
          <dt className="text-soft">sounds at rest</dt>
          <dd className="font-semibold">{names.sounding}</dd>
          <dt className="text-soft">
            {instrument.countedFrom === 'top' ? 'from the bottom' : 'from the highest'}
          </dt>
          <dd className="font-semibold">{instrument.positions.length + 1 - position.called.number}</dd>
          <dt className="text-soft">maker’s label</dt>
          <dd className="font-semibold">{names.maker ?? 'none'}</dd>
        </dl>
        <p className="mt-2 text-sm">
          <span className="text-soft">To order it, say: </span>
          {spokenLine(instrument, position, octaveNames)}
        </p>
        {notice && <p className="mt-2 border-l-2 border-line pl-3 text-sm text-soft">{notice}</p>}
      </div>
      {!folded && (
        <div className="grid grid-cols-2 gap-x-4 gap-y-3 border-y border-ink py-3">
          <Figure
            label="Gauge"
            measure={measure('gauge', figures.gauge)}
            note={[
              materialWord(position.construction),
              ...(isInferred(position.construction) ? ['core and wrap inferred'] : []),
              ...(writtenGauge ? [`written ${writtenGauge}`] : []),
            ].join(', ')}
          />
          <Figure
            label="Speaking length"
            measure={measure('length', position.speakingLength)}
            note={`free length ${measureText(measure('length', position.freeLength), units)}`}
          />
          <Figure label="Frequency at rest" measure={measure('frequency', figures.pitch)} />
          <Figure
            label="Tension"
            measure={measure('force', figures.tension)}
            working={tensionWorking(instrument, position)}
          />
          <div className="col-span-2">
            <Figure
              label="Margin to breaking"
              measure={measure('semitones', figures.semitonesToBreaking)}
              working={marginWorking(instrument, position)}
            />
            <MarginBar utilisation={figures.utilisation} margin={figures.margin} />
          </div>
        </div>
      )}
      {children}
      <dl className="grid grid-cols-[auto_1fr] gap-x-3 gap-y-1 text-sm">
        <dt className="text-soft">On it now</dt>
        <dd>
          {view.on?.since === 'dated' ? (
            `fitted ${dateText(view.on.at, timeZone)}, ${ageWord(view.on.at, now)}`
          ) : (
            <OnAlready
              key={position.number}
              slug={instrument.slug}
              position={position}
              on={view.on}
              hasJob={view.jobId !== null}
              unknown={unknown}
              now={now}
            />
          )}
        </dd>
        <dt className="text-soft">In the stores</dt>
        <dd>{spare}</dd>
        <dt className="text-soft">A packet in hand</dt>
        <dd>
          <Link
            className="underline underline-offset-2"
            href={pages.instrumentSheet(instrument.slug, 'belongs', position.number)}
          >
            Does this new string belong here?
          </Link>
        </dd>
        <dt className="text-soft">By ear</dt>
        <dd>
          <Link
            className="underline underline-offset-2"
            href={pages.instrumentSheet(instrument.slug, 'tune', position.number)}
          >
            Tune it
          </Link>
        </dd>
        <dt className="text-soft">Before you turn</dt>
        <dd>
          <Link
            className="underline underline-offset-2"
            href={pages.instrumentSheet(instrument.slug, 'bench', position.number)}
          >
            Try it on the winding bench
          </Link>
        </dd>
      </dl>
      <details className="text-sm">
        <summary className="min-h-8 font-semibold">History of this position ({view.happened})</summary>
        <ul className="ruled mt-1">
          {view.history.map((entry) => (
            <li key={`${entry.at}${entry.what}`} className="grid grid-cols-[6.5rem_3.5rem_1fr] gap-2 py-1">
              <time className="text-soft">{dateText(entry.at, timeZone)}</time>
              <span className={entry.what === 'broke' ? 'font-semibold text-ochre' : 'text-soft'}>
                {entry.what}
              </span>
              <span>{entry.text}</span>
            </li>
          ))}
        </ul>
        {view.happened > view.history.length && (
          <Link
            className="inline-flex min-h-11 items-center underline underline-offset-2"
            href={pages.historyOf({ on: instrument.slug })}
            prefetch={false}
          >
            What was before, in the history of {instrument.name}
          </Link>
        )}
      </details>
    </section>
  )
}

function ageWord(at: number, now: number): string {
  const days = differenceInDays(now, at)
  if (days < 1) return 'today'
  if (days < 60) return `${days} ${days === 1 ? 'day' : 'days'} old`
  return days < 700 ? `${Math.round(days / 30.44)} months old` : `${(days / 365.25).toFixed(1)} years old`
}
