import type { Metadata } from 'next'
import { buyingBench } from '@/data/views/buying-bench'
import { store } from '@/data/store/database'
import { openNeeds, suggestedNeeds } from '@/data/buying/need-list'
import { allOrders } from '@/data/buying/orders'
import { allSupplies, shortSupplies } from '@/data/stores/supplies'
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
