'use client'

import Link from 'next/link'
import { useCallback, useMemo, useState } from 'react'
import { pages } from '@/boundary/paths'
import { firstOfPieces, samePiece, type StringPosition } from '@/core/instrument/instrument'
import { leadingNames, numberName } from '@/core/instrument/names'
import { counted } from '@/core/list/counted'
import { itemAt } from '@/core/list/item-at'
import { yearsOf } from '@/core/wear/period'
import { lookWords } from '@/core/wear/signs'
import type { InstrumentWear } from '@/data/views/wear-of-instrument'
import { ChanceCurve } from '@/drawings/ChanceCurve'
import type { FieldShape } from '@/drawings/field/field-shape'
import { LevelledStrings, LevelScale } from '@/drawings/field/LevelledStrings'
import { PickableField } from '@/drawings/field/PickableField'
import { useStringPicker } from '@/drawings/field/use-string-picker'
import { Selection } from '@/ui/form/Selection'
import { UnknownAges } from '@/ui/figure/UnknownAges'
import { chanceText } from '@/ui/format/chance'
import { dateText } from '@/ui/format/time'
import { useWorkshop } from '@/ui/units'
import { ageText, CLASS_WORDS } from './class-words'
import { OVERLAYS, overlayOf, overlayWord, type Overlay, type ShownOverlay } from './overlays'
import { SetOrSingle } from './SetOrSingle'
import { SharpHere } from './SharpHere'
import { StringLifeLine } from './StringLifeLine'
import { WhereItBroke } from './WhereItBroke'
import { WithinChoice } from './WithinChoice'

interface InstrumentWearSheetProps {
  readonly wear: InstrumentWear
  /** The string that was asked for. */
  readonly asked: number | null
  readonly now: number
}

/** An instrument as it wears: its field by any figure, and the picked string's life. */
export function InstrumentWearSheet({ wear, asked, now }: InstrumentWearSheetProps) {
  const { instrument, broken, expected, any, places, within } = wear
  const { units, octaveNames } = useWorkshop()
  const [overlay, setOverlay] = useState<Overlay>('chance of breaking')
  const shown = useMemo(() => overlayOf(overlay, wear, units), [overlay, wear, units])
  const drawOver = useCallback(
    (shape: FieldShape) => shown && <LevelledStrings shape={shape} levels={shown.levels} />,
    [shown],
  )
  const likeliest = [...wear.strings].sort((a, b) => b.chance - a.chance)[0]
  const start = asked ?? places[0]?.position ?? likeliest?.number ?? 1
  const picker = useStringPicker(instrument, Math.min(instrument.positions.length, Math.max(1, start)))
  const position = itemAt(instrument.positions, picker.selected - 1)
  const { name } = leadingNames(position, octaveNames)
  return (
    <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_26rem]">
      <section className="sheet p-4 md:p-5" aria-label="The field by a figure">
        <header className="flex flex-wrap items-end justify-between gap-x-6 gap-y-3">
          <div>
            <h1 className="text-2xl font-semibold">{instrument.name}, as it wears</h1>
            <p className="text-soft">
              {wear.strings.length === 0
                ? 'No string is on record. Whatever is fitted is followed here.'
                : `${expected.toFixed(1)} breaks expected within ${within}; at least one with a chance of ${chanceText(any)}.`}
            </p>
            <UnknownAges unknown={wear.unknown} of={firstOfPieces(instrument).length} />
          </div>
          <p className="flex flex-wrap gap-2">
            <Link className="button button-main" href={pages.instrumentSheet(instrument.slug, 'inspection')}>
              Look the strings over
            </Link>
            <Link className="button" href={pages.beforeDate(undefined, instrument.slug)}>
              Before a date
            </Link>
            <Link className="button" href={pages.instrument(instrument.slug, picker.selected)}>
              String field
            </Link>
          </p>
        </header>
        <div className="mt-3 flex flex-wrap gap-3">
          <Selection
            label="Show"
            value={overlay}
            options={OVERLAYS.map((one) => ({ value: one, word: overlayWord(one, within) }))}
            choose={setOverlay}
          />
          <WithinChoice within={within} of={{ slug: instrument.slug, string: picker.selected }} />
        </div>
        <div className="mt-3 grid items-center gap-4 md:grid-cols-[minmax(0,1fr)_11rem]">
          <PickableField
            instrument={instrument}
            broken={broken}
            picker={picker}
            overlay={drawOver}
            className="h-[17rem] md:h-[min(34rem,calc(100dvh-19rem))]"
          />
          <OverlayScale shown={shown} />
        </div>
        <SetOrSingle wear={wear} />
      </section>
      <section className="sheet flex flex-col gap-4 p-5" aria-label="The picked string">
        <div>
          <h2 className="text-3xl leading-none font-semibold" aria-live="polite">
            <span className="inline-block first-letter:uppercase">{name}</span>
          </h2>
          {numberName(position) !== name && <p className="mt-1 text-soft">{numberName(position)}</p>}
          {shown && overlay !== 'chance of breaking' && (
            <p className="mt-2">
              <span className="text-soft">{overlayWord(overlay, within)}: </span>
              <span className="font-semibold">{shown.told[position.number]}</span>
            </p>
          )}
        </div>
        <StringNow wear={wear} position={position} now={now} />
        <SharpHere wear={wear} position={position} />
        <WhereItBroke wear={wear} position={position} />
        <StringLifeLine wear={wear} position={position} now={now} />
        <div className="flex gap-2">
          <button type="button" className="button flex-1" onClick={() => picker.pick(picker.selected + 1)}>
            ← Longer
          </button>
          <button type="button" className="button flex-1" onClick={() => picker.pick(picker.selected - 1)}>
            Shorter →
          </button>
        </div>
      </section>
    </div>
  )
}

/** What the textures stand for. */
function OverlayScale({ shown }: { readonly shown: ShownOverlay | null }) {
  if (!shown) return <p className="text-sm text-soft">Each string is drawn as what it is made of looks.</p>
  return (
    <LevelScale
      marks={[...shown.scale].reverse()}
      height={34}
      className="grid grid-cols-2 gap-1 text-sm md:grid-cols-1"
      markClass="h-9 w-4"
    />
  )
}

interface OfString {
  readonly wear: InstrumentWear
  readonly position: StringPosition
}

/** The string that is on now: its age, its look, its chance and what that rests on. */
function StringNow({ wear, position, now }: OfString & { readonly now: number }) {
  const { timeZone } = useWorkshop()
  const string = wear.strings.find(({ number }) => number === position.number)
  if (!string) return <p className="font-semibold text-ochre">No string is on.</p>
  const { chance, band, age, ageBand, pace, look, lifeClass } = string
  const rests = wear.restsOn[lifeClass]
  const kind = wear.kinds[lifeClass]
  const rate = wear.rates[lifeClass]
  return (
    <div className="border-y border-ink py-3">
      <p>
        <span className="plate-figure text-4xl">{chanceText(chance)}</span>{' '}
        <span className="text-lg">that it breaks within {wear.within}</span>
        {kind && kind.on > 1 && (
          <span className="block text-sm text-soft">
            At least one of {counted(kind.on, 'string')} of {CLASS_WORDS[lifeClass]} here:{' '}
            {chanceText(kind.any)}
          </span>
        )}
      </p>
      <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-3 gap-y-1 text-sm">
        <dt className="text-soft">On for</dt>
        <dd>
          {string.since === 'dated'
            ? `${ageText(age)}, since ${dateText(string.fittedAt, timeZone)}`
            : string.since === 'about'
              ? `about ${ageText(age)}`
              : `unknown; likely ${ageText(ageBand[0])} to ${ageText(ageBand[1])}`}
        </dd>
        <dt className="text-soft">Looked</dt>
        <dd>{look ? `${lookWords(look)}, ${dateText(look.at, timeZone)}` : 'nobody has looked yet'}</dd>
      </dl>
      {rate && <ChanceCurve rate={rate} on={string} pace={pace} now={now} asked={yearsOf(wear.within)} />}
      <details className="mt-1 text-sm">
        <summary className="min-h-8 font-semibold">Why so much</summary>
        <ul className="list-disc pl-5 text-soft">
          <li>
            It is {CLASS_WORDS[lifeClass]}: {rests?.broke ?? 0} of {rests?.strings ?? 0} such strings broke of
            themselves in this house. That is weighed with what is usual.
          </li>
          <li>By its load and its look it ages {pace.toFixed(1)} times as fast as a usual one.</li>
          <li>
            {string.since === 'unknown' ? 'Neither its age nor the rate is known' : 'The rate is not known'}{' '}
            for sure: four times of five the chance lies between {chanceText(band[0])} and{' '}
            {chanceText(band[1])}.
          </li>
          {samePiece(wear.instrument, position).length > 1 && (
            <li>One wire is two strings here: both go at once.</li>
          )}
        </ul>
      </details>
    </div>
  )
}
