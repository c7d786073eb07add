'use client'

import Link from 'next/link'
import { pages } from '@/boundary/paths'
import { moneyText } from '@/core/stores/money'
import { supplierName } from '@/core/stores/order-way'
import type { OrderInList } from '@/data/buying/orders'
import { dateText } from '@/ui/format/time'
import { useWorkshop } from '@/ui/units'

interface OrderListProps {
  readonly open: readonly OrderInList[]
  readonly closed: readonly OrderInList[]
  readonly earlier: number | null
  readonly isLater: boolean
}

/** Orders that are under way, and those that are closed, some at a time. */
export function OrderList({ open, closed, earlier, isLater }: OrderListProps) {
  return (
    <>
      {open.length + closed.length === 0 && <p className="text-soft">None yet.</p>}
      <ul className="ruled">
        {[...open, ...closed].map((order) => (
          <OrderLine key={order.id} order={order} />
        ))}
      </ul>
      {(earlier !== null || isLater) && (
        <p className="mt-3 flex flex-wrap gap-3">
          {isLater && (
            <Link className="button" href={pages.orders} prefetch={false}>
              Back to the newest
            </Link>
          )}
          {earlier !== null && (
            <Link className="button" href={pages.ordersBefore(earlier)} prefetch={false}>
              Show earlier orders
            </Link>
          )}
        </p>
      )}
    </>
  )
}

function OrderLine({ order }: { readonly order: OrderInList }) {
  const { timeZone } = useWorkshop()
  return (
    <li>
      <Link
        href={pages.order(order.id)}
        prefetch={false}
        className="grid min-h-11 grid-cols-[3rem_1fr_auto] items-baseline gap-3 py-2 hover:underline"
      >
        <span className="plate-figure text-xl">{order.id}</span>
        <span>
          <span className="font-semibold">
            {supplierName({ name: order.supplier, simulated: order.simulated })}
          </span>
          <span className="block text-sm text-soft">
            {order.state}, {order.lines} {order.lines === 1 ? 'line' : 'lines'},{' '}
            {dateText(order.openedAt, timeZone)}
          </span>
        </span>
        <span className="plate-figure">{moneyText(order.totalMinor, order.currency)}</span>
      </Link>
    </li>
  )
}
