import type { Metadata } from 'next'
import { buyingBench } from '@/data/views/buying-bench'
import { store } from '@/data/store/database'
import { openNeeds } from '@/data/buying/need-list'
import { suggestedNeeds } from '@/data/buying/suggested-needs'
import { closedInList, openInList } from '@/data/buying/orders'
import { allSupplies, shortSupplies } from '@/data/stores/supplies'
import { OrdersSheet } from '@/features/orders/OrdersSheet'
import { numberIn, textOf, type Asked } from '../asked'

export const metadata: Metadata = { title: 'Need list and orders' }

/** Closed orders on a page. */
const SHOWN = 20

/** Entries of the list, and suggestions for it, that are told before all are asked for. */
const LISTED = 15

/** `?before=` shows the closed orders before one. */
export default async function OrdersPage({ searchParams }: { readonly searchParams: Asked }) {
  const params = await searchParams
  const before = numberIn(textOf(params, 'before'))
  const closed = closedInList(store(), SHOWN + 1, before)
  const supplies = allSupplies(store())
  const needs = openNeeds(store())
  const suggested = suggestedNeeds(store())
  const shown = (of: typeof suggested) => ({
    shown: textOf(params, 'suggested') === 'all' ? of : of.slice(0, LISTED),
    count: of.length,
  })
  return (
    <OrdersSheet
      needs={{
        shown: textOf(params, 'listed') === 'all' ? needs : needs.slice(0, LISTED),
        count: needs.length,
      }}
      needed={shown(suggested.filter(({ jobId }) => jobId !== null))}
      isAllShown={textOf(params, 'suggested') === 'all'}
      forStock={shown(suggested.filter(({ jobId }) => jobId === null))}
      bench={buyingBench(store(), needs)}
      orders={openInList(store())}
      closed={closed.slice(0, SHOWN)}
      earlier={closed.length > SHOWN ? (closed[SHOWN - 1]?.id ?? null) : null}
      isLater={before !== null}
      wanted={supplies.filter(({ wanted }) => wanted > 0)}
      short={shortSupplies(store())}
    />
  )
}
