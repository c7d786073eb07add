'use client'

import { ArrowLeft, ArrowRight } from 'lucide-react'
import Link from 'next/link'
import { useState } from 'react'
import { useHotkeys } from 'react-hotkeys-hook'
import { tailFacts } from '@/core/knots/fastenings'
import { holdOfTie } from '@/core/knots/ties/hold'
import { tellCrossings } from '@/core/knots/ties/tell-crossings'
import { layingOrder, stageShares, type Tie } from '@/core/knots/ties/tie'
import { codeText } from '@/core/knots/topology/gauss-code'
import { FROM_INSIDE, FROM_OUTSIDE } from '@/core/knots/topology/crossings'
import { mirrored } from '@/core/knots/topology/curve'
import { KnotDrawing } from '@/ui/drawings/KnotDrawing'
import { PrintButton } from '@/ui/shell/PrintButton'

interface KnotSheetProps {
  readonly ties: readonly Tie[]
  readonly tie: Tie
  readonly hand: 'right' | 'left'
}

/** One end knot, stage by stage, from outside or inside the box, for either hand; printed, all its stages on one page. */
export function KnotSheet({ ties, tie, hand: usual }: KnotSheetProps) {
  const [at, setAt] = useState(0)
  const [inside, setInside] = useState(false)
  const [hand, setHand] = useState(usual)
  const shares = stageShares(tie)
  const view = inside ? FROM_INSIDE : FROM_OUTSIDE
  const stage = tie.stages[at] ?? tie.stages[0]
  const [before, until] = [shares[at - 1] ?? 0, shares[at] ?? 1]
  const whole = layingOrder(tie)
  const told = tellCrossings(hand === 'left' ? mirrored(whole) : whole, tie.leads, before, until, view)
  const hold = holdOfTie(tie)
  const last = tie.stages.length - 1
  const go = (by: number) => setAt((now) => Math.min(last, Math.max(0, now + by)))
  const free = (event: KeyboardEvent) => event.target instanceof HTMLElement && event.target.closest('input, select, textarea') !== null
  useHotkeys('right, pagedown', (event) => { event.preventDefault(); go(1) }, { ignoreEventWhen: free }, [last])
  useHotkeys('left, pageup', (event) => { event.preventDefault(); go(-1) }, { ignoreEventWhen: free }, [last])
  return (
    <div className="grid items-start gap-4 lg:grid-cols-[15rem_minmax(0,1fr)]">
      <nav aria-label="End knots" className="sheet p-3 print:hidden">
        <h1 className="px-2 text-xl font-semibold">Knots</h1>
        <ul className="mt-1 flex flex-wrap gap-x-1 lg:block">
          {ties.map(({ fastening }) => (
            <li key={fastening}><Link href={`/knots?knot=${encodeURIComponent(fastening)}`} aria-current={fastening === tie.fastening ? 'page' : undefined} className="flex min-h-11 items-center border-b-4 border-transparent px-2 lg:border-b-0 lg:border-l-4 aria-[current=page]:border-verdigris aria-[current=page]:bg-verdigris-wash aria-[current=page]:font-semibold">{fastening}</Link></li>
          ))}
        </ul>
      </nav>
      <section aria-label={tie.fastening} className="sheet p-4 md:p-6">
        <header className="flex flex-wrap items-end justify-between gap-3">
          <div>
            <h2 className="text-2xl font-semibold">{tie.fastening}</h2>
            <p className="text-soft">{tailFacts(tie.fastening).usedFor}</p>
          </div>
          <p className="flex flex-wrap gap-2 print:hidden">
            <button type="button" className="button" aria-pressed={inside} onClick={() => setInside(!inside)}>{inside ? 'From outside' : 'From inside the box'}</button>
            <button type="button" className="button" aria-pressed={hand === 'left'} onClick={() => setHand(hand === 'left' ? 'right' : 'left')}>{hand === 'left' ? 'For the right hand' : 'For the left hand'}</button>
            <PrintButton />
          </p>
        </header>
        <div className="mt-3 grid gap-6 border-t border-ink pt-3 md:grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)] print:hidden">
          <figure>
            <KnotDrawing tie={tie} before={before} until={until} view={view} hand={hand} title={`Stage ${at + 1}: ${stage?.says ?? ''}`} className="max-h-[30rem] w-full" />
            <figcaption className="text-center text-xs text-soft">{inside ? 'seen from inside the box' : 'seen from outside, the board above'}{hand === 'left' ? ', mirrored for the left hand' : ''}; the part that this stage lays is drawn full, with a light thread in it</figcaption>
          </figure>
          <div aria-live="polite">
            <p className="label">Stage {at + 1} of {tie.stages.length}</p>
            <p className="mt-1 text-2xl leading-snug">{stage?.says}</p>
            {told.length > 0 && <ol className="mt-4 space-y-1 border-l-2 border-rule pl-4">{told.map((c, i) => <li key={i}>{c.says}</li>)}</ol>}
            <div className="mt-5 flex gap-2">
              <button type="button" className="button min-h-14 px-4" onClick={() => go(-1)} disabled={at === 0}><ArrowLeft aria-hidden /> Back</button>
              <button type="button" className="button button-main min-h-14 flex-1 text-lg" onClick={() => go(1)} disabled={at === last}>Next <ArrowRight aria-hidden /></button>
            </div>
            <div className="mt-6 border-t border-rule pt-3 text-sm">
              <p>{holdWords(hold)}</p>
              <p className="mt-1 text-soft">{hold.crossings} crossings; {codeText(hold.code)}</p>
            </div>
          </div>
        </div>
        <ol className="mt-4 hidden grid-cols-2 gap-6 print:grid">
          {tie.stages.map(({ says }, i) => (
            <li key={says} className="break-inside-avoid">
              <KnotDrawing tie={tie} before={shares[i - 1] ?? 0} until={shares[i] ?? 1} view={view} hand={hand} title={`Stage ${i + 1}`} className="h-56 w-full" />
              <p>{i + 1}. {says}</p>
            </li>
          ))}
        </ol>
      </section>
    </div>
  )
}

function holdWords({ wholeWord, whole, toBight, toBightWord }: ReturnType<typeof holdOfTie>): string {
  if (toBight === null) return `With its ends joined it is ${wholeWord}: it can’t come open without its end being drawn back.`
  if (whole.length === 1) return `Draw its bight back and it is ${wholeWord}: what holds it is the jam, the anchor and the board. What the standing part draws tight on the bight is ${toBightWord}.`
  return `With its ends joined it is ${wholeWord}.`
}
