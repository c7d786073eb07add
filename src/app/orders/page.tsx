import type { Metadata } from 'next'
import { buyingBench } from '@/data/buying'
import { store } from '@/data/database'
import { openNeeds, suggestedNeeds } from '@/data/need-list'
import { allOrders } from '@/data/orders'
import { allSupplies, shortSupplies } from '@/data/supplies'
import { OrdersSheet } from '@/features/orders/OrdersSheet'

export const metadata: Metadata = { title: 'Need list and orders' }

export default function OrdersPage() {
  return (
    <OrdersSheet
      needs={openNeeds(store())}
      suggested={suggestedNeeds(store())}
      bench={buyingBench(store())}
      orders={allOrders(store())}
      wanted={allSupplies(store()).filter(({ wanted }) => wanted > 0)}
      short={shortSupplies(store())}
    />
  )
}
