'use client'

import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { endpoints } from '@/boundary/endpoints'
import { pages } from '@/boundary/paths'
import { otherMake } from '@/core/stores/asked-make'
import type { Offer } from '@/core/stores/offers'
import { outerGauge, materialWord } from '@/core/strings/construction'
import { measure } from '@/core/measure'
import type { Coil, CutCoil } from '@/data/stores/coils'
import { CoilBar } from '@/drawings/CoilBar'
import { measureText } from '@/ui/format/measure'
import { useAct } from '@/ui/shell/use-act'
import { usePageTurner } from '@/ui/shell/use-page-turner'
import { useWorkshop } from '@/ui/units'
import { InHand } from './InHand'

interface CoilChoiceProps {
  readonly jobId: number
  /** Whether the house keeps strings in store. */
  readonly keepsStores: boolean
  readonly offers: readonly Offer<CutCoil>[]
  readonly chosenId: number | null
  readonly onNeedList: boolean
  /** Whether the string came off whole and may go on again. */
  readonly canPutBack: boolean
  /** Make and line that the chart asks for. */
  readonly askedMake: string | null
  /** What an order has to say, line by line. */
  readonly orderDetails: readonly (readonly [what: string, text: string])[]
}

/** Coils longer than this are reels of wire, drawn as wide as this, m. */
const REEL = 3

/** Coils that fit, a remainder long enough first; or what to order when none does. */
export function CoilChoice({
  jobId,
  keepsStores,
  offers,
  chosenId,
  onNeedList,
  canPutBack,
  askedMake,
  orderDetails,
}: CoilChoiceProps) {
  const router = useRouter()
  const { act, refused } = useAct()
  usePageTurner()
  const longEnough = offers.filter((o) => o.leaves >= 0)
  const fills = Math.min(REEL, Math.max(...offers.map((o) => o.coil.boughtLength)))
  const tooShort = offers.filter((o) => o.leaves < 0 && o.coil.lengthLeft > 0.1)

  const toFigures = (done: object | null) => {
    if (done) router.push(pages.jobSheet(jobId, 'figures'))
  }
  const choose = (coil: Coil) =>
    act(endpoints.chooseCoil(jobId), { coilId: coil.id }, `${coil.label} is set aside for this string.`).then(
      toFigures,
    )

  return (
    <section aria-label="Coils that fit">
      {canPutBack && (
        <div className="mt-4 flex flex-wrap items-center justify-between gap-3 border-l-4 border-verdigris bg-verdigris-wash p-4">
          <p className="max-w-prose">
            It came off whole. Gut and nylon may be set again while the tail is long and the standing part is
            sound.
          </p>
          <button
            type="button"
            className="button"
            onClick={() =>
              act(endpoints.putBack(jobId), {}, 'The same string is to be put back.').then(toFigures)
            }
          >
            Put the same string back
          </button>
        </div>
      )}
      {longEnough.length > 0 && (
        <p className="mt-3 max-w-prose">
          {longEnough.length === 1
            ? 'One coil fits.'
            : 'The first uses up what is already open; fresh coils come last.'}{' '}
          Nothing is cut in the stores until the fitting is logged.
        </p>
      )}
      <ol className="ruled mt-2">
        {longEnough.map((offer, i) => (
          <OfferRow
            key={offer.coil.id}
            offer={offer}
            askedMake={askedMake}
            fills={fills}
            first={i === 0}
            chosen={offer.coil.id === chosenId}
            onChoose={() => choose(offer.coil)}
          />
        ))}
      </ol>
      {longEnough.length === 0 && (
        <div className="mt-4 grid gap-5 border-l-4 border-ochre bg-ochre-wash p-4 md:grid-cols-[1fr_1.2fr]">
          <div>
            <h2 className="text-lg font-semibold">
              {onNeedList ? 'It is on the need list.' : NOTHING[keepsStores ? 'in store' : 'no stores']}
            </h2>
            <p className="mt-1">
              {!onNeedList
                ? 'Put it on the need list. It carries all that an order must say.'
                : keepsStores
                  ? 'When a packet comes, book it in under Stores; it is then offered here.'
                  : 'When it comes, take it in your hand and go on below.'}
            </p>
            <div className="mt-3 flex flex-wrap gap-2">
              {!onNeedList && (
                <button
                  type="button"
                  className="button button-main"
                  onClick={() => act(endpoints.needForJob(jobId), {}, 'Put on the need list.')}
                >
                  Put it on the need list
                </button>
              )}
              {keepsStores && (
                <Link className={`button ${onNeedList ? 'button-main' : ''}`} href={pages.bookIn}>
                  Book in a packet
                </Link>
              )}
            </div>
          </div>
          <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 text-sm">
            {orderDetails.map(([what, text]) => [
              <dt key={what} className="text-soft">
                {what}
              </dt>,
              <dd key={`${what}=`} className="font-semibold">
                {text}
              </dd>,
            ])}
          </dl>
        </div>
      )}
      <InHand jobId={jobId} first={longEnough.length === 0 && onNeedList} isStored={keepsStores} />
      {refused && (
        <p role="alert" className="mt-3 font-semibold text-ochre">
          {refused.sentence}
        </p>
      )}
      {tooShort.length > 0 && (
        <details className="mt-4 text-sm">
          <summary className="min-h-8">Right, but too short ({tooShort.length})</summary>
          <ul className="ruled">
            {tooShort.map((offer) => (
              <OfferRow
                key={offer.coil.id}
                offer={offer}
                askedMake={askedMake}
                fills={fills}
                first={false}
                chosen={false}
                onChoose={null}
              />
            ))}
          </ul>
        </details>
      )}
    </section>
  )
}

/** What leads where no coil is offered. */
const NOTHING = {
  'in store': 'Nothing in the stores is long enough and fits.',
  'no stores': 'This is the string to get.',
} as const

interface OfferRowProps {
  readonly askedMake: string | null
  readonly offer: Offer<CutCoil>
  readonly fills: number
  readonly first: boolean
  readonly chosen: boolean
  readonly onChoose: (() => void) | null
}

function OfferRow({
  offer: { coil, fit, leaves, yields },
  askedMake,
  fills,
  first,
  chosen,
  onChoose,
}: OfferRowProps) {
  const { units } = useWorkshop()
  const text = (length: number) => measureText(measure('length', length), units)
  const planned = coil.lengthLeft - leaves
  return (
    <li className="grid items-center gap-x-5 gap-y-2 py-3 md:grid-cols-[13rem_minmax(0,1fr)_9rem_auto]">
      <div>
        <h3 className="text-lg font-semibold">{coil.label}</h3>
        <p className="text-sm text-soft">
          {coil.place} · {materialWord(coil.construction)}{' '}
          {measureText(measure('gauge', outerGauge(coil.construction)), units)}, {coil.colour}
        </p>
        <p className="text-sm text-soft">{otherMake(coil, askedMake) ?? `${coil.maker} ${coil.line}`}</p>
      </div>
      <div>
        <CoilBar
          bought={coil.boughtLength}
          left={coil.lengthLeft}
          cuts={coil.cuts.map((c) => c.length)}
          planned={planned}
          fills={fills}
        />
        <p className="mt-1 text-sm">
          {coil.opened ? 'A remainder.' : 'A fresh coil.'} {fit.because}
          {fit.tensionChange !== 0 &&
            ` Tension ${fit.tensionChange > 0 ? '+' : '−'}${Math.abs(fit.tensionChange * 100).toFixed(1)} %.`}
        </p>
      </div>
      <p className={`text-sm ${leaves < 0 ? 'text-ochre' : ''}`}>
        <span className="label block">{leaves < 0 ? 'too short by' : 'leaves'}</span>
        <span className="plate-figure text-xl">{text(Math.abs(leaves))}</span>
        {yields > 1 && <span className="label block">holds {yields} such cuts</span>}
      </p>
      {onChoose && (
        <button
          type="button"
          data-go-on={first ? '' : undefined}
          className={`button ${first ? 'button-main' : ''}`}
          onClick={onChoose}
        >
          {chosen ? 'Keep this one' : 'Cut from this'}
        </button>
      )}
    </li>
  )
}
