import { store } from '@/data/store/database'
import { workshopSettings } from '@/data/workshop/settings'
import { idFrom } from '@/boundary/handle'
import { fileAnswer } from '@/boundary/file-answer'
import { orderCsv, orderText } from '@/data/buying/order-sheet'
import { orderById } from '@/data/buying/orders'

interface Path {
  readonly params: Promise<{ id: string }>
}

/** The order as a file: `?as=csv` or `?as=text`. */
export async function GET(request: Request, { params }: Path) {
  const { id } = await params
  const isText = new URL(request.url).searchParams.get('as') === 'text'
  return fileAnswer(`order-${id}.${isText ? 'txt' : 'csv'}`, isText ? 'text/plain' : 'text/csv', () => {
    const order = orderById(store(), idFrom(id, `There is no order ${id}.`))
    return isText ? orderText(order, workshopSettings(store()).name) : orderCsv(order)
  })
}
