import type { Metadata } from 'next'
import { store } from '@/data/store/database'
import { workshopSettings } from '@/data/workshop/settings'
import { idFrom } from '@/boundary/handle'
import { orderText } from '@/data/buying/order-sheet'
import { orderById } from '@/data/buying/orders'
import { catalogue } from '@/data/buying/suppliers'
import { answersIn, orderView } from '@/data/views/orders-view'
import { OrderSheet } from '@/features/orders/OrderSheet'
import { orNotFound } from '../../or-not-found'

export const metadata: Metadata = { title: 'An order' }

export default async function OrderPage({ params }: { readonly params: Promise<{ id: string }> }) {
  const { id } = await params
  const order = orNotFound(() => orderView(store(), idFrom(id, `There is no order ${id}.`)))
  return (
    <OrderSheet
      order={order}
      text={orderText(orderById(store(), order.id), workshopSettings(store()).name)}
      answersIn={answersIn(store(), order)}
      parts={
        order.supplier.simulated
          ? []
          : catalogue(store(), order.supplier.id).map(({ part, name }) => ({ part, name }))
      }
    />
  )
}
