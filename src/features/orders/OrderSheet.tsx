'use client'

import { Copy, Download } from 'lucide-react'
import Link from 'next/link'
import { useEffect, useState, type FormEvent } from 'react'
import { endpoints } from '@/boundary/endpoints'
import { files, pages } from '@/boundary/paths'
import { moneyText } from '@/core/stores/money'
import { supplierName } from '@/core/stores/order-way'
import type { OrderLineView, OrderView } from '@/data/views/orders-view'
import { textIn } from '@/ui/form/text-in'
import { Entry } from '@/ui/form/Entry'
import { dateText } from '@/ui/format/time'
import { BackLink } from '@/ui/shell/BackLink'
import { useAnnounce } from '@/ui/shell/UndoToast'
import { PrintButton } from '@/ui/shell/PrintButton'
import { useAct } from '@/ui/shell/use-act'
import { useWorkshop } from '@/ui/units'
import { AnswerByHand } from './AnswerByHand'
import { InTheSet } from './InTheSet'
import { SendByHand, SENT_WORDS, type Act } from './SendByHand'

interface OrderSheetProps {
  readonly order: OrderView
  /** As text to paste into a mail. */
  readonly text: string
  /** Milliseconds until the desk answers; 0 when it need not be waited for. */
  readonly answersIn: number
  /** Part numbers of the supplier’s catalogue, with their names. */
  readonly parts: readonly { readonly part: string; readonly name: string }[]
}

/** An order: the sheet to send, the supplier's answer, and what has come. */
export function OrderSheet({ order, text, answersIn, parts }: OrderSheetProps) {
  const { name: workshop, timeZone } = useWorkshop()
  const announce = useAnnounce()
  const { act, refused } = useAct()
  const copy = async () => {
    await navigator.clipboard.writeText(text)
    announce('The order is copied; paste it into a mail.')
  }
  const asked = order.lines.filter(({ replacesId }) => replacesId === null)
  const total = order.goodsMinor + order.postageMinor

  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[minmax(0,1fr)_24rem] print:block">
      <section
        className="sheet p-4 md:p-6 print:border-0 print:p-0 print:shadow-none"
        aria-label={`Order ${order.id}`}
      >
        <BackLink to={pages.orders}>Orders</BackLink>
        <header className="flex flex-wrap items-end justify-between gap-3 border-b border-ink pb-3">
          <div>
            <h1 className="text-2xl font-semibold">Order {order.id}</h1>
            <p>
              from {workshop} to <strong>{supplierName(order.supplier)}</strong>
            </p>
            <p className="text-sm text-soft">{dateText(order.sentAt ?? order.openedAt, timeZone)}</p>
          </div>
          <div className="flex flex-wrap gap-2 print:hidden">
            <PrintButton isMain={false} />
            <a className="button" href={files.orderSheet(order.id, 'csv')} download>
              <Download size={16} aria-hidden /> CSV
            </a>
            <button type="button" className="button" onClick={copy}>
              <Copy size={16} aria-hidden /> Copy for a mail
            </button>
          </div>
        </header>
        <ol className="ruled">
          {asked.map((line) => (
            <li key={line.id} className="grid break-inside-avoid grid-cols-[3.5rem_1fr_auto] gap-x-3 py-3">
              <span className="plate-figure text-2xl leading-tight">{line.packs} ×</span>
              <div>
                <h2 className="font-text font-semibold">
                  {line.part}: {line.name}
                </h2>
                <p className="text-sm">{line.words}</p>
                <ul className="text-sm text-soft print:text-black">
                  {line.forStrings.map((one) => (
                    <li key={one}>for {one}</li>
                  ))}
                </ul>
                {line.holdsWhat && <InTheSet holds={line.holdsWhat} />}
              </div>
              <div className="text-right">
                <span className="plate-figure">
                  {moneyText(line.priceMinor * line.packs, order.supplier.currency)}
                </span>
                <AnswerWord line={line} />
              </div>
            </li>
          ))}
        </ol>
        <p className="border-t border-ink pt-2 text-right">
          goods {moneyText(order.goodsMinor, order.supplier.currency)}, postage{' '}
          {order.postageMinor === 0 ? 'free' : moneyText(order.postageMinor, order.supplier.currency)};{' '}
          <strong className="plate-figure text-xl">{moneyText(total, order.supplier.currency)}</strong>
        </p>
        <p className="mt-2 text-xs text-soft print:text-black">
          Octaves of harps are counted E to F from the treble; scientific pitch is given beside them. By the
          prices of the catalogue at hand.
        </p>
      </section>
      <aside
        className="sheet order-first p-4 md:p-5 lg:sticky lg:top-4 lg:order-none print:hidden"
        aria-label="What to do next"
      >
        <p className="label">This order is</p>
        <p className="plate-figure text-2xl">{order.state === 'acknowledged' ? 'answered' : order.state}</p>
        {refused && (
          <p role="alert" className="mt-2 font-semibold text-ochre">
            {refused.sentence}
          </p>
        )}
        {order.state === 'to send' && !order.supplier.simulated && (
          <SendByHand order={order} text={text} act={act} />
        )}
        {order.state === 'to send' && order.supplier.simulated && (
          <>
            <p className="mt-2 text-sm text-soft">
              This supplier is simulated. It takes the order and answers by itself. Nothing is bought.
            </p>
            <button
              type="button"
              className="button button-main mt-2 w-full"
              onClick={() => act(endpoints.sendOrder(order.id), {}, `Order ${order.id} is sent.`)}
            >
              Send it to the simulator
            </button>
          </>
        )}
        {order.sentBy !== null && order.sentAt !== null && (
          <p className="text-sm text-soft">
            Sent {SENT_WORDS[order.sentBy]}, {dateText(order.sentAt, timeZone)}.
          </p>
        )}
        {!order.supplier.simulated && (order.state === 'sent' || order.state === 'acknowledged') && (
          <AnswerByHand
            key={order.lines.map(({ answer }) => answer).join()}
            order={order}
            parts={parts}
            act={act}
            problem={refused}
          />
        )}
        {order.state === 'sent' && order.supplier.simulated && (
          <Waiting
            answersIn={answersIn}
            ask={() => act(endpoints.takeAnswer(order.id), {}, `${order.supplier.name} has answered.`)}
          />
        )}
        {order.lines
          .filter(({ replacesId }) => replacesId !== null)
          .map((line) => (
            <Substitution orderId={order.id} key={line.id} line={line} act={act} />
          ))}
        {(order.state === 'acknowledged' ||
          order.state === 'delivered' ||
          (order.state === 'sent' && !order.supplier.simulated)) &&
          order.undecided === 0 && (
            <Receiving key={order.lines.map(({ received }) => received).join()} order={order} act={act} />
          )}
        {order.coilIds.length > 0 && (
          <p className="mt-3 text-sm">
            {order.coilIds.length === 1 ? 'One packet of it is' : `${order.coilIds.length} packets of it are`}{' '}
            in the stores.
          </p>
        )}
        {order.coilIds.length > 0 && (
          <Link
            className={`button mt-2 w-full ${order.state === 'closed' ? 'button-main' : ''}`}
            href={pages.labelsOf(order.coilIds)}
          >
            Print their labels
          </Link>
        )}
        {order.state === 'closed' && order.coilIds.length === 0 && (
          <p className="mt-2 text-sm">It was given up.</p>
        )}
        {order.state !== 'closed' && (
          <button
            type="button"
            className="mt-4 min-h-11 text-sm underline underline-offset-2"
            onClick={() => act(endpoints.cancelOrder(order.id), {}, `Order ${order.id} is given up.`)}
          >
            Give the order up
          </button>
        )}
      </aside>
    </div>
  )
}

function AnswerWord({ line }: { readonly line: OrderLineView }) {
  if (line.answer === null) return null
  const come = line.received > 0 ? `, ${line.received} come` : ''
  return (
    <span
      className={`block text-sm print:hidden ${line.answer === 'confirmed' ? 'text-verdigris' : 'text-ochre'}`}
    >
      {line.answer === 'confirmed' ? '✓' : '!'} {line.answer}
      {come}
    </span>
  )
}

/** Asks again until the desk has answered. */
function Waiting({
  answersIn,
  ask,
}: {
  readonly answersIn: number
  readonly ask: () => Promise<object | null>
}) {
  const [isAsking, setIsAsking] = useState(false)
  useEffect(() => {
    const timer = setTimeout(() => {
      setIsAsking(true)
      void ask().finally(() => setIsAsking(false))
    }, answersIn + 100)
    return () => clearTimeout(timer)
    // Asked once for each time that the page learns how long it takes.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [answersIn])
  return (
    <>
      <p className="mt-2 text-sm text-soft" role="status">
        The simulator has the order and answers in a moment.
      </p>
      <button type="button" className="button mt-2 w-full" disabled={isAsking} onClick={() => void ask()}>
        Ask for the answer
      </button>
    </>
  )
}

interface SubstitutionProps {
  readonly orderId: number
  readonly line: OrderLineView
  readonly act: Act
}

function Substitution({ orderId, line, act }: SubstitutionProps) {
  const { inPlaceOf } = line
  if (!inPlaceOf) return null
  const percent = `${Math.abs(inPlaceOf.change * 100).toFixed(1)} %`
  return (
    <div className="mt-3 border-l-4 border-ochre bg-ochre-wash p-3">
      <h2 className="font-text font-semibold">
        {line.part} in place of {inPlaceOf.part}
      </h2>
      <p className="text-sm">
        {line.words}.{' '}
        {Math.abs(inPlaceOf.change) < 0.001
          ? 'The gauge is the same; it is of another colour.'
          : `It would ${inPlaceOf.change > 0 ? 'raise' : 'lower'} the tension by ${percent}${inPlaceOf.stays ? ', near enough to stand in' : ', too far to stand in'}.`}
      </p>
      {line.answer === null ? (
        <div className="mt-2 flex gap-2">
          <button
            type="button"
            className="button button-main"
            onClick={() =>
              act(endpoints.decide(orderId), { lineId: line.id, accept: true }, 'The substitute is taken.')
            }
          >
            Take it
          </button>
          <button
            type="button"
            className="button"
            onClick={() =>
              act(
                endpoints.decide(orderId),
                { lineId: line.id, accept: false },
                'The substitute is refused; its string may be planned anew.',
              )
            }
          >
            Refuse it
          </button>
        </div>
      ) : (
        <p className="mt-1 text-sm font-semibold">{line.answer === 'confirmed' ? 'Taken.' : 'Refused.'}</p>
      )}
    </div>
  )
}

/** Books in what came, against what was ordered. */
function Receiving({ order, act }: { readonly order: OrderView; readonly act: Act }) {
  const coming = order.lines.filter(({ outstanding }) => outstanding > 0)
  const book = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault()
    const form = new FormData(event.currentTarget)
    await act(
      endpoints.receive(order.id),
      {
        arrived: coming.map(({ id }) => ({
          lineId: id,
          packs: Number(textIn(form, `line ${id}`) || 0),
        })),
        place: textIn(form, 'place'),
      },
      'The delivery is booked in; it is offered in the next fitting.',
    )
  }
  if (coming.length === 0) return <p className="mt-3 text-sm">Nothing more is to come.</p>
  return (
    <form onSubmit={book} noValidate className="mt-4 border-t border-ink pt-2">
      <h2 className="text-lg font-semibold">What came</h2>
      <p className="text-sm text-soft">Enter the packs that came. Change what differs from the order.</p>
      <div className="mt-2 grid gap-2">
        {coming.map((line) => (
          <label key={line.id} className="grid grid-cols-[1fr_4.5rem] items-center gap-2 text-sm">
            <span>
              {line.part}: {line.name}
              <span className="block text-soft">
                {line.outstanding} to come{line.answer === 'back-ordered' ? ', back-ordered' : ''}
              </span>
            </span>
            <input className="entry" name={`line ${line.id}`} inputMode="numeric" defaultValue={line.sent} />
          </label>
        ))}
        <Entry label="Where it is put" name="place" defaultValue="New arrivals" />
        <button type="submit" className="button button-main">
          Book it in
        </button>
      </div>
    </form>
  )
}
