'use client'

import { ArrowLeft, ArrowRight } from 'lucide-react'
import Link from 'next/link'
import { useMemo, useState } from 'react'
import { pages } from '@/boundary/paths'
import type { Habits } from '@/core/fitting/habits'
import { lockSentences, tailFacts } from '@/core/knots/fastenings'
import { movesSaid } from '@/core/fitting/knot-words'
import { byHand } from '@/core/knots/film/by-hand'
import { saidFor } from '@/core/knots/tails/said-for'
import { tellCrossings } from '@/core/knots/tails/tell-crossings'
import { placesOf } from '@/core/knots/tails/tail-end'
import { FROM_INSIDE, FROM_OUTSIDE } from '@/core/knots/topology/crossings'
import { isTail, tightness, tyingOf, type Fastening } from '@/core/knots/tying'
import { frameOf } from '@/drawings/knot/frame'
import { KnotDrawing } from '@/drawings/knot/KnotDrawing'
import { KnotPlayer } from '@/drawings/knot/KnotPlayer'
import { USUAL_LOOK } from '@/drawings/knot/string-look'
import { useDrawn } from '@/drawings/knot/use-drawn'
import { PrintButton } from '@/ui/shell/PrintButton'
import { useKeys } from '@/ui/shell/use-keys'
import { HoldWords } from './HoldWords'
import { KnotChoices } from './KnotChoices'
import { KnotFacts } from './KnotFacts'
import { KnotList } from './KnotList'
import { Mistakes } from './Mistakes'
import { StagesOnPaper } from './StagesOnPaper'
import type { StringToTie } from './string-to-tie'

interface KnotSheetProps {
  readonly fastening: Fastening
  readonly habits: Pick<Habits, 'hand' | 'anchor' | 'anchorPlace' | 'knots'>
  /** The string that it is tied for; null where it is only looked at. */
  readonly string: StringToTie | null
}

/** One fastening, tied move by move or crossing by crossing before the eye, from any side and for either hand; printed, all its stages on one page. */
export function KnotSheet({ fastening, habits, string }: KnotSheetProps) {
  const [at, setAt] = useState(0)
  const [inside, setInside] = useState(false)
  const [tiedBy, setTiedBy] = useState(habits.hand)
  const [slow, setSlow] = useState(false)
  const [flat, setFlat] = useState(false)
  const [place, setPlace] = useState(habits.anchorPlace)
  const drawn = useDrawn()
  const pin = string?.pin
  const crossings = useMemo(
    () => tyingOf(fastening, { place, ...(pin ? { pin } : {}), ...(drawn ? { drawn } : {}) }),
    [fastening, place, pin, drawn],
  )
  const [told, setTold] = useState<'by hand' | 'by crossings'>('by hand')
  const hands = useMemo(() => {
    if (!isTail(fastening)) return null
    const anchored = tailFacts(fastening).hold === 'knot'
    const says = movesSaid(fastening, { anchor: habits.anchor, anchorPlace: place }, anchored)
    return byHand(fastening, { place, anchored, says, ...(drawn ? { drawn } : {}) })
  }, [fastening, habits.anchor, place, drawn])
  const tying = told === 'by hand' ? (hands ?? crossings) : crossings
  const isByHand = tying === hands
  // Which way a pin turns is the instrument’s, whoever winds it.
  const hand = tying.end === 'tail' ? tiedBy : 'right'
  const view = inside ? FROM_INSIDE : FROM_OUTSIDE
  const frame = useMemo(() => frameOf(tying, view, hand), [tying, view, hand])
  const last = tying.stages.length - 1
  const stage = tying.stages[at] ?? tying.stages[0]
  const tight = tightness(tying, at + 1) > 0
  const state = useMemo(() => tying.stateAt(at + 1), [tying, at])
  // Wraps cross the pin and each other at every turn: on a pin only what the tail passes is worth a word.
  const passes = useMemo(
    () =>
      tight || isByHand
        ? []
        : tellCrossings(state, view, hand).filter(({ says }) => tying.end === 'tail' || says.includes('tag')),
    [tight, isByHand, state, view, hand, tying],
  )
  const look = string?.look ?? USUAL_LOOK
  const board = tying.throughBoard ? { bore: look.bore } : null
  const canMoveAnchor = tying.tailEnd !== null && placesOf(tying.tailEnd).length > 1
  const go = (by: number) => setAt((now) => Math.min(last, Math.max(0, now + by)))
  const on = () => go(1)
  const back = () => go(-1)
  useKeys({ ArrowRight: on, PageDown: on, ArrowLeft: back, PageUp: back })
  const hrefOf = (to: Fastening) => pages.knot(to, string?.jobId)
  const usedFor = isTail(fastening)
    ? tailFacts(fastening).usedFor
    : lockSentences(fastening).join(' ') || 'how most strings are held on their pins'
  const said = (says: string) => saidFor(says, { inside, hand })
  const word = isByHand ? 'Move' : 'Stage'
  const title = `${word} ${at + 1} of ${fastening}: ${said(stage?.says ?? '')}`
  return (
    <div className="grid items-start gap-4 lg:grid-cols-[15rem_minmax(0,1fr)] print:block">
      <KnotList now={fastening} hrefOf={hrefOf} />
      <section aria-label={fastening} className="sheet p-4 md:p-6 print:border-0 print:p-0 print:shadow-none">
        <header className="flex flex-wrap items-end justify-between gap-3">
          <div>
            <h2 className="text-2xl font-semibold first-letter:uppercase">{fastening}</h2>
            <p className="text-soft first-letter:uppercase">{usedFor}</p>
            {string && (
              <p className="mt-1 font-semibold">
                <Link href={pages.jobSheet(string.jobId, 'steps')} className="underline underline-offset-4">
                  {string.name}
                </Link>
              </p>
            )}
          </div>
          <p className="flex flex-wrap gap-2 print:hidden">
            <button type="button" className="button" aria-pressed={inside} onClick={() => setInside(!inside)}>
              {inside ? 'From outside' : tying.end === 'tail' ? 'From inside the box' : 'From the other side'}
            </button>
            {tying.end === 'tail' && (
              <button
                type="button"
                className="button"
                aria-pressed={hand === 'left'}
                onClick={() => setTiedBy(hand === 'left' ? 'right' : 'left')}
              >
                {hand === 'left' ? 'For the right hand' : 'For the left hand'}
              </button>
            )}
            {canMoveAnchor && (
              <button
                type="button"
                className="button"
                onClick={() =>
                  setPlace(place === 'behind the bight' ? 'in front of the bight' : 'behind the bight')
                }
              >
                {place === 'behind the bight' ? 'Anchor in front' : 'Anchor behind'}
              </button>
            )}
            <Link className="button" href={string ? pages.drill('tie', string.slug) : pages.practice}>
              Practise
            </Link>
            <PrintButton isMain={false} />
          </p>
        </header>
        <div className="mt-3 grid gap-x-6 gap-y-3 border-t border-ink pt-3 md:grid-cols-[minmax(0,1.35fr)_minmax(0,1fr)] print:hidden">
          <figure className="min-w-0">
            {flat ? (
              <KnotDrawing
                state={state}
                frame={frame}
                view={view}
                hand={hand}
                title={title}
                board={board}
                tight={tight}
                told={passes}
                names={tying.names}
                className="h-[21rem] w-full md:h-[27rem]"
              />
            ) : (
              <KnotPlayer
                tying={tying}
                stage={at}
                hand={hand}
                inside={inside}
                slow={slow}
                title={title}
                look={look}
                className="h-[21rem] w-full md:h-[27rem]"
              />
            )}
            <figcaption className="mt-1 flex flex-wrap items-center justify-between gap-2 text-sm text-soft">
              <span>
                {flat
                  ? `${inside ? 'seen from inside' : 'seen from outside'}; what this stage lays is filled`
                  : 'drag to turn it'}
                {hand === 'left' ? '; for the left hand' : ''}
              </span>
              <span className="flex gap-2">
                {!flat && (
                  <button
                    type="button"
                    className="button min-h-9 px-3 py-1 text-sm"
                    aria-pressed={slow}
                    onClick={() => setSlow(!slow)}
                  >
                    {slow ? 'At full speed' : 'Slowly'}
                  </button>
                )}
                <button
                  type="button"
                  className="button min-h-9 px-3 py-1 text-sm"
                  aria-pressed={flat}
                  onClick={() => setFlat(!flat)}
                >
                  {flat ? 'In space' : 'As a drawing'}
                </button>
              </span>
            </figcaption>
          </figure>
          <div className="flex flex-col">
            {hands && (
              <p className="mb-4 flex flex-wrap gap-2">
                {(['by hand', 'by crossings'] as const).map((way) => (
                  <button
                    key={way}
                    type="button"
                    className="button aria-pressed:border-verdigris aria-pressed:bg-verdigris-wash"
                    aria-pressed={told === way}
                    onClick={() => {
                      setTold(way)
                      setAt(0)
                    }}
                  >
                    {way === 'by hand' ? 'With your hands' : 'Crossing by crossing'}
                  </button>
                ))}
              </p>
            )}
            <div aria-live="polite">
              <p className="label">
                {word} {at + 1} of {tying.stages.length}
              </p>
              <p className="mt-1 text-2xl leading-snug">{said(stage?.says ?? '')}</p>
              {passes.length > 0 && (
                <ol className="mt-3 list-inside list-decimal space-y-1 border-l-2 border-rule pl-4">
                  {passes.map((c, i) => (
                    <li key={i}>{c.says}</li>
                  ))}
                </ol>
              )}
            </div>
            <div className="mt-5 flex gap-2">
              <button
                type="button"
                className="button min-h-14 px-4"
                onClick={() => go(-1)}
                disabled={at === 0}
              >
                <ArrowLeft aria-hidden /> Back
              </button>
              <button
                type="button"
                className="button button-main min-h-14 flex-1 text-lg"
                onClick={() => go(1)}
                disabled={at === last}
              >
                Next <ArrowRight aria-hidden />
              </button>
            </div>
          </div>
        </div>
        <StagesOnPaper tying={tying} hand={hand} inside={inside} bore={look.bore} />
        {string && string.choices.length > 0 && (
          <KnotChoices string={string} now={fastening} hrefOf={hrefOf} />
        )}
        {tying.tailEnd && <Mistakes tailEnd={tying.tailEnd} place={place} hand={hand} inside={inside} />}
        {tying.tailEnd && (
          <KnotFacts
            key={`${fastening} ${habits.knots[tying.tailEnd.fastening]}`}
            fastening={tying.tailEnd.fastening}
            own={habits.knots[tying.tailEnd.fastening] ?? null}
            string={string}
          />
        )}
        <HoldWords tying={crossings} />
      </section>
    </div>
  )
}
