'use client'

import Link from 'next/link'
import { endpoints } from '@/boundary/endpoints'
import { pages } from '@/boundary/paths'
import { withThe } from '@/core/instrument/with-the'
import type { BuyingBench } from '@/data/views/buying-bench'
import type { OrderInList } from '@/data/buying/orders'
import type { Need } from '@/data/buying/need-list'
import type { SuggestedNeed } from '@/data/buying/suggested-needs'
import type { Supply } from '@/data/stores/supplies'
import { useAct } from '@/ui/shell/use-act'
import { BuyingPlan } from './BuyingPlan'
import { OrderList } from './OrderList'
import { NeededNow, StockSuggestions } from './Suggestions'

interface Shown {
  readonly shown: readonly SuggestedNeed[]
  readonly count: number
}

interface OrdersSheetProps {
  /** The list: the first of it told, and how much is on it. */
  readonly needs: { readonly shown: readonly Need[]; readonly count: number }
  /** Broken strings that are not on the list, and what stock is short of: the first of each, and how many there are. */
  readonly needed: Shown
  readonly forStock: Shown
  /** All suggestions were asked for. */
  readonly isAllShown: boolean
  readonly bench: BuyingBench
  readonly orders: readonly OrderInList[]
  /** Some of the closed ones, the number of the last of them where there are earlier ones, and whether there are later ones. */
  readonly closed: readonly OrderInList[]
  readonly earlier: number | null
  readonly isLater: boolean
  /** Small things that are on the list, and those that run short. */
  readonly wanted: readonly Supply[]
  readonly short: readonly (Supply & { readonly short: number })[]
}

/** What must be bought, the cheapest way to buy it, and the orders there are. */
export function OrdersSheet({
  needs,
  needed,
  forStock,
  isAllShown,
  bench,
  orders,
  closed,
  earlier,
  isLater,
  wanted,
  short,
}: OrdersSheetProps) {
  const { act, refused } = useAct()
  const put = ({ positionId, jobId, quantity }: SuggestedNeed) =>
    act(endpoints.addNeeds, { wanted: [{ positionId, jobId, quantity }] }, 'Put on the need list.')
  const putAll = (of: 'broken' | 'stock', { count }: Shown) =>
    act(
      endpoints.addSuggestedNeeds,
      { of },
      count === 1 ? 'Put on the need list.' : `${count} strings put on the need list.`,
    )

  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.15fr)]">
      <div className="grid grid-cols-[minmax(0,1fr)] gap-4">
        <section className="sheet p-4 md:p-5" aria-labelledby="needs">
          <h1 id="needs" className="text-2xl font-semibold">
            Need list
          </h1>
          {refused && (
            <p role="alert" className="mt-2 font-semibold text-ochre">
              {refused.sentence}
            </p>
          )}
          {needs.count === 0 && wanted.length === 0 && <p className="text-soft">Nothing is on it.</p>}
          <ul className="ruled mt-1" aria-label="On the list">
            {needs.shown.map((need) => (
              <li key={need.id} className="py-2">
                <div className="flex items-center justify-between gap-x-3">
                  <span className="min-w-0">
                    <span className="font-semibold">
                      {need.quantity > 1 && `${need.quantity} × `}
                      {need.jobId === null ? (
                        need.string
                      ) : (
                        <Link href={pages.job(need.jobId)} className="inline-block min-h-6 hover:underline">
                          {need.string}
                        </Link>
                      )}
                    </span>
                    <span className="block text-sm">{said(need)}</span>
                    <span className="block text-sm text-soft">
                      {need.jobId === null ? 'for the stores' : 'it is broken'}
                      {need.met > 0 && `; ${need.met} of ${need.quantity} came`}
                      {need.onOrder > 0 && need.toOrder > 0 && `; ${need.toOrder} still to be ordered`}
                    </span>
                  </span>
                  {need.orderId === null ? (
                    <button
                      type="button"
                      className="min-h-11 shrink-0 px-2 text-sm underline underline-offset-2"
                      aria-label={`Take ${withThe(need.string)} off the list`}
                      onClick={() => act(endpoints.dropNeed(need.id), {}, 'Taken off the need list.')}
                    >
                      Take off
                    </button>
                  ) : (
                    <Link
                      className="inline-flex min-h-11 shrink-0 items-center text-sm font-semibold text-verdigris underline underline-offset-2"
                      href={pages.order(need.orderId)}
                    >
                      on order {need.orderId}
                    </Link>
                  )}
                </div>
                <details className="text-sm">
                  <summary className="min-h-6 text-soft">What an order must say</summary>
                  <dl className="mt-1 grid grid-cols-[auto_1fr] gap-x-3 gap-y-0.5">
                    {need.lines.map(([what, text]) => [
                      <dt key={what} className="text-soft">
                        {what}
                      </dt>,
                      <dd key={`${what}=`}>{text}</dd>,
                    ])}
                  </dl>
                </details>
              </li>
            ))}
          </ul>
          {needs.shown.length < needs.count && (
            <Link className="button mt-2" href={pages.allListed} prefetch={false}>
              Show all {needs.count}
            </Link>
          )}
          {wanted.length > 0 && (
            <ul className="ruled border-t border-rule" aria-label="Small things on the list">
              {wanted.map((thing) => (
                <li
                  key={thing.id}
                  className="flex flex-wrap items-center justify-between gap-x-3 gap-y-1 py-2"
                >
                  <span>
                    <span className="font-semibold">
                      {thing.wanted} × {thing.name}
                    </span>
                    <span className="block text-sm text-soft">
                      {thing.count} there, {thing.least} are wanted; bought where the house buys such things
                    </span>
                  </span>
                  <span className="flex gap-2">
                    <button
                      type="button"
                      className="button"
                      aria-label={`${thing.wanted} ${thing.name} came`}
                      onClick={() =>
                        act(
                          endpoints.moveSupply(thing.id),
                          { by: thing.wanted },
                          `${thing.wanted} ${thing.name} booked in.`,
                        )
                      }
                    >
                      They came
                    </button>
                    <button
                      type="button"
                      className="min-h-11 px-2 text-sm underline underline-offset-2"
                      aria-label={`Take ${thing.name} off the list`}
                      onClick={() =>
                        act(endpoints.wantSupply(thing.id), { wanted: 0 }, 'Taken off the need list.')
                      }
                    >
                      Take off
                    </button>
                  </span>
                </li>
              ))}
            </ul>
          )}
          {short.length > 0 && (
            <div className="mt-4 border-t border-ink pt-2">
              <h2 className="text-lg font-semibold">Small things that run short</h2>
              <ul className="ruled mt-1" aria-label="Small things that run short">
                {short.map((thing) => (
                  <li key={thing.id} className="flex items-center justify-between gap-3 py-1.5">
                    <span>
                      {thing.name}
                      <span className="block text-sm text-soft">
                        {thing.count} there, {thing.least} are wanted
                      </span>
                    </span>
                    <button
                      type="button"
                      className="button shrink-0"
                      aria-label={`Put ${thing.short} ${thing.name} on the list`}
                      onClick={() =>
                        act(
                          endpoints.wantSupply(thing.id),
                          { wanted: thing.wanted + thing.short },
                          `${thing.short} ${thing.name} put on the need list.`,
                        )
                      }
                    >
                      Put {thing.short} on
                    </button>
                  </li>
                ))}
              </ul>
            </div>
          )}
          <NeededNow
            {...needed}
            first={needs.count === 0}
            put={put}
            putAll={() => putAll('broken', needed)}
          />
          <StockSuggestions
            {...forStock}
            isOpen={isAllShown}
            put={put}
            putAll={() => putAll('stock', forStock)}
          />
        </section>
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-4">
        <BuyingPlan bench={bench} />
        <section className="sheet p-4 md:p-5" aria-labelledby="orders">
          <h2 id="orders" className="text-xl font-semibold">
            Orders
          </h2>
          <OrderList open={orders} closed={closed} earlier={earlier} isLater={isLater} />
        </section>
      </div>
    </div>
  )
}

/** The line to say on the telephone. */
function said({ lines }: Need): string {
  return lines.find(([what]) => what === 'Say it')?.[1] ?? ''
}
