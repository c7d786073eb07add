'use client'

import Link from 'next/link'
import { useEffect, useRef, useState, type FormEvent } from 'react'
import { pages } from '@/boundary/paths'
import { samePiece, type Instrument } from '@/core/instrument/instrument'
import { numberName } from '@/core/instrument/names'
import { itemAt } from '@/core/list/item-at'
import { materialWord } from '@/core/strings/construction'
import type { ShelfReading } from '@/core/names/find-on-shelf'
import { PickableField } from '@/drawings/field/PickableField'
import { useStringPicker } from '@/drawings/field/use-string-picker'
import { useLayAtHand } from '@/ui/find/at-hand'
import { exampleOf, readHere } from '@/ui/find/FindBox'
import { Entry } from '@/ui/form/Entry'
import { BackLink } from '@/ui/shell/BackLink'
import { useLeadingNames } from '@/ui/use-leading-names'
import { SiteChooser } from './SiteChooser'

interface WhichBrokeProps {
  readonly instrument: Instrument
  readonly broken: readonly number[]
  /** Open jobs, by the string’s number. */
  readonly jobs: Readonly<Record<number, number>>
}

/** Which string broke: typed or pointed at, and then where it gave way, with nothing between. */
export function WhichBroke({ instrument, broken, jobs }: WhichBrokeProps) {
  const leadingNames = useLeadingNames()
  const picker = useStringPicker(instrument, Math.ceil(instrument.positions.length / 2))
  useLayAtHand(instrument, picker.pick)
  const [isAsking, setIsAsking] = useState(false)
  const [readings, setReadings] = useState<readonly ShelfReading[]>([])
  const [problem, setProblem] = useState<string>()
  const [text, setText] = useState('')
  const box = useRef<HTMLInputElement>(null)
  useEffect(() => box.current?.focus({ preventScroll: true }), [])
  const position = itemAt(instrument.positions, picker.selected - 1)
  const { name } = leadingNames(position)
  const jobId = jobs[position.number]

  const take = (number: number) => {
    picker.pick(number)
    setReadings([])
    setIsAsking(true)
  }
  const find = async (event: FormEvent) => {
    event.preventDefault()
    setProblem(undefined)
    const found = await readHere(text, instrument)
    const [only, another] = found
    if (only && !another) return take(only.number)
    setReadings(found)
    if (!only)
      setProblem(
        `No string here is called “${text.trim()}”. Point at it in the drawing, or press “Which string is it?”.`,
      )
  }
  return (
    <div className="grid items-start gap-4 lg:grid-cols-[26rem_minmax(0,1fr)]">
      <section className="sheet p-4 md:p-5" aria-label="Which string broke">
        <BackLink to={pages.broke}>Another instrument</BackLink>
        <h1 className="text-2xl font-semibold">Which string of {instrument.name} broke?</h1>
        <form onSubmit={find} noValidate className="mt-2 flex items-end gap-2" role="search">
          <span className="flex-1">
            <Entry
              ref={box}
              label="Its name, number or colour"
              placeholder={exampleOf(instrument)}
              value={text}
              onChange={(event) => setText(event.target.value)}
              problem={problem}
            />
          </span>
          <button type="submit" className="button min-h-11">
            Find
          </button>
        </form>
        {readings.length > 1 && (
          <ul className="ruled mt-2" aria-label="Strings that this can mean">
            {readings.map(({ number, means }) => (
              <li key={number}>
                <button
                  type="button"
                  className="block min-h-11 w-full py-2 text-left hover:underline"
                  onClick={() => take(number)}
                >
                  <span className="font-semibold">
                    {leadingNames(itemAt(instrument.positions, number - 1)).name}
                  </span>{' '}
                  <span className="text-sm text-soft">{means}</span>
                </button>
              </li>
            ))}
          </ul>
        )}
        <h2 className="mt-3 text-3xl leading-none font-semibold" aria-live="polite">
          <span className="inline-block first-letter:uppercase">{name}</span>
        </h2>
        <p className="text-soft">
          {numberName(position) === name ? '' : `${numberName(position)}, `}
          {materialWord(position.construction)}
        </p>
        {samePiece(instrument, position).length > 1 && (
          <p className="text-sm text-soft">One wire is two strings here: breaking one takes both.</p>
        )}
        {jobId !== undefined && (
          <Link href={pages.job(jobId)} className="button button-main mt-3 w-full">
            Continue its job
          </Link>
        )}
        {jobId === undefined && !isAsking && (
          <button
            type="button"
            className="button button-main mt-3 min-h-12 w-full"
            onClick={() => setIsAsking(true)}
          >
            This string broke
          </button>
        )}
        {jobId === undefined && isAsking && (
          <div className="mt-3">
            <SiteChooser
              key={position.number}
              slug={instrument.slug}
              position={position}
              name={name}
              onCancel={() => setIsAsking(false)}
            />
          </div>
        )}
        <p className="mt-3 text-sm">
          <Link
            href={pages.instrumentSheet(instrument.slug, 'which')}
            className="inline-flex min-h-11 items-center underline underline-offset-2"
          >
            Which string is it?
          </Link>
        </p>
      </section>
      <section className="sheet p-4 md:p-5" aria-label="Point at the string">
        <PickableField
          instrument={instrument}
          broken={broken}
          picker={picker}
          className="h-[15rem] md:h-[min(38rem,calc(100dvh-9rem))]"
        />
      </section>
    </div>
  )
}
