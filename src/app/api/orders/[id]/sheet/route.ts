import { store } from '@/data/database'
import { houseSettings } from '@/data/house'
import { idFrom } from '@/data/http/handle'
import { fileAnswer } from '@/data/http/file-answer'
import { orderCsv, orderText } from '@/data/order-sheet'
import { orderById } from '@/data/orders'

interface Path {
  readonly params: Promise<{ id: string }>
}

/** The order as a file: `?as=csv` or `?as=text`. */
export async function GET(request: Request, { params }: Path) {
  const { id } = await params
  const isText = new URL(request.url).searchParams.get('as') === 'text'
  return fileAnswer(`order-${id}.${isText ? 'txt' : 'csv'}`, isText ? 'text/plain' : 'text/csv', () => {
    const order = orderById(store(), idFrom(id, `There is no order ${id}.`))
    return isText ? orderText(order, houseSettings(store()).name) : orderCsv(order)
  })
}
