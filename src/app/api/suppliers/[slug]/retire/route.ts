import { handle } from '@/app/api/handle'
import { RetireRequest } from '@/boundary/requests/shelf'
import { retireSupplier } from '@/data/buying/suppliers'
import { store } from '@/data/store/database'

interface Path {
  readonly params: Promise<{ slug: string }>
}

export async function POST(request: Request, { params }: Path) {
  const { slug } = await params
  return handle(request, RetireRequest, ({ retired }) => retireSupplier(store(), slug, retired))
}
