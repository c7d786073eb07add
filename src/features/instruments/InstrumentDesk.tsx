'use client'

import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { memo, useDeferredValue, useState, type ReactNode } from 'react'
import { endpoints } from '@/boundary/endpoints'
import { pages } from '@/boundary/paths'
import { counted } from '@/core/list/counted'
import { samePiece, soldByClass, type StringPosition } from '@/core/instrument/instrument'
import { numberName } from '@/core/instrument/names'
import { itemAt } from '@/core/list/item-at'
import type { InstrumentView } from '@/data/views/instrument-view'
import { CloseUp } from '@/drawings/field/CloseUp'
import { useLayAtHand } from '@/ui/find/at-hand'
import { useAct } from '@/ui/shell/use-act'
import { PickableField } from '@/drawings/field/PickableField'
import { Plate } from './Plate'
import { useStringPicker } from '@/drawings/field/use-string-picker'
import { useLeadingNames } from '@/ui/use-leading-names'

interface InstrumentDeskProps {
  readonly view: InstrumentView
  readonly start: number
  readonly now: number
  /** By position number, in a few words. */
  readonly spares: Readonly<Record<number, string>>
  /** The question where it gave way; the page that composes this desk gives it. */
  readonly askSite: (position: StringPosition, onCancel: () => void) => ReactNode
}

/** An instrument on the desk: its string field, the close-up, and the plate of the picked string. */
export function InstrumentDesk({ view, start, now, spares, askSite }: InstrumentDeskProps) {
  const leadingNames = useLeadingNames()
  const { instrument, broken } = view
  const picker = useStringPicker(instrument, start)
  // The field answers a key at once; close-up and plate follow when there is time between keys.
  const followed = useDeferredValue(picker.selected)
  const position = itemAt(instrument.positions, picker.selected - 1)
  useLayAtHand(instrument, picker.pick)
  return (
    <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_26rem]">
      <div className="sheet grid lg:sticky lg:top-4 grid-rows-[auto_minmax(0,1fr)] gap-3 p-4 md:p-5">
        <header className="flex flex-wrap items-end justify-between gap-x-6 gap-y-3">
          <div>
            <h1 className="text-2xl font-semibold">{instrument.name}</h1>
            <p className="text-sm text-soft">
              {instrument.family}, {counted(instrument.positions.length, 'string')}
              {soldByClass(instrument) === null ? '' : `, ${instrument.tensionClass} tension`}
            </p>
            <p className="text-sm text-soft">
              at rest in {instrument.restTuning}, A4 = {instrument.referenceA} Hz
              {view.chartLink !== '' && (
                <>
                  {'; '}
                  <a href={view.chartLink} className="underline underline-offset-2" rel="noreferrer">
                    the maker’s string chart
                  </a>
                </>
              )}
            </p>
            {view.notes !== '' && (
              <p className="mt-1 max-w-prose text-sm font-semibold whitespace-pre-line">{view.notes}</p>
            )}
          </div>
          <p className="flex flex-wrap gap-2">
            <Link className="button" href={pages.instrumentSheet(instrument.slug, 'which')}>
              Which string is it?
            </Link>
            <Link className="button" href={pages.instrumentSheet(instrument.slug, 'round')}>
              Tune all
            </Link>
            <Link className="button" href={pages.instrumentSheet(instrument.slug, 'wear')}>
              Wear
            </Link>
            <Link className="button" href={pages.instrumentSheet(instrument.slug, 'restring')}>
              Restring
            </Link>
            <Link className="button" href={pages.instrumentSheet(instrument.slug, 'chart')}>
              String chart
            </Link>
            <Link className="button" href={pages.instrumentSheet(instrument.slug, 'hardware')}>
              Hardware
            </Link>
            <Link className="button" href={pages.practiceOn(instrument.slug)}>
              Practice
            </Link>
            <Link className="button" href={pages.instrumentSheet(instrument.slug, 'habits')}>
              Habits
            </Link>
            {view.isAssumed && (
              <Link className="button" href={pages.instrumentSheet(instrument.slug, 'measuring')}>
                Measure it
              </Link>
            )}
            <Link className="button" href={pages.instrumentSheet(instrument.slug, 'about')}>
              About it
            </Link>
          </p>
        </header>
        <div className="grid min-h-0 items-center gap-4 md:grid-cols-[minmax(0,1.35fr)_minmax(15rem,1fr)]">
          <PickableField
            instrument={instrument}
            broken={broken}
            picker={picker}
            className="h-[17rem] md:h-[min(35rem,calc(100dvh-13rem))]"
          />
          <figure className="self-center">
            <p className="mb-2 text-center font-plate text-lg font-semibold lg:hidden" aria-hidden>
              {leadingNames(position).name}
              {numberName(position) === leadingNames(position).name ? '' : `, ${numberName(position)}`}
            </p>
            <CloseUp instrument={instrument} selected={followed} broken={broken} onPick={picker.pick} />
            <figcaption className="mt-2 text-center text-xs text-soft">
              The neighbours close up, longer ones to the left; widths go by gauge.
            </figcaption>
            <div className="mt-3 flex justify-center gap-2">
              <button type="button" className="button" onClick={() => picker.pick(picker.selected + 1)}>
                ← Longer
              </button>
              <button type="button" className="button" onClick={() => picker.pick(picker.selected - 1)}>
                Shorter →
              </button>
            </div>
          </figure>
        </div>
      </div>
      <PlatePanel
        view={view}
        number={followed}
        now={now}
        spare={spares[followed] ?? 'nothing that fits'}
        askSite={askSite}
      />
    </div>
  )
}

interface PlatePanelProps extends Pick<InstrumentDeskProps, 'view' | 'now' | 'askSite'> {
  readonly number: number
  readonly spare: string
}

/** The plate of one string, with what can be done about it. */
const PlatePanel = memo(function PlatePanel({ view, number, now, spare, askSite }: PlatePanelProps) {
  const { instrument, positions } = view
  const [asking, setAsking] = useState(false)
  const position = itemAt(instrument.positions, number - 1)
  const here = positions[number] ?? { on: null, jobId: null, history: [], happened: 0 }
  const paired = samePiece(instrument, position).length > 1
  return (
    <Plate
      instrument={instrument}
      position={position}
      view={here}
      unknown={view.unknown}
      now={now}
      spare={spare}
      folded={asking}
    >
      {here.jobId !== null && (
        <Link href={pages.job(here.jobId)} className="button button-main">
          Go on with its fitting
        </Link>
      )}
      {here.jobId === null && asking && askSite(position, () => setAsking(false))}
      {here.jobId === null && !asking && (
        <div>
          <div className="flex gap-2">
            <button type="button" className="button button-main flex-1" onClick={() => setAsking(true)}>
              This string broke
            </button>
            <ReplaceButton slug={instrument.slug} number={number} />
          </div>
          {paired && (
            <p className="mt-1 text-sm text-soft">One wire is two strings here: breaking one takes both.</p>
          )}
        </div>
      )}
    </Plate>
  )
})

/** Opens a job that replaces a string while it is still sound. */
function ReplaceButton({ slug, number }: { slug: string; number: number }) {
  const router = useRouter()
  const { act, refused } = useAct()
  const replace = async () => {
    const opened = await act(
      endpoints.openJob,
      { instrument: slug, string: number },
      `String ${number} is to be replaced.`,
    )
    if (opened) router.push(pages.jobSheet(opened.jobId, 'coil'))
  }
  return (
    <>
      <button type="button" className="button" onClick={replace}>
        Replace it
      </button>
      {refused && (
        <p role="alert" className="text-sm font-semibold text-ochre">
          {refused.sentence}
        </p>
      )}
    </>
  )
}
