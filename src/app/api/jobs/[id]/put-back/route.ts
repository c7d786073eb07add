import { store } from '@/data/database'
import { handle, idFrom, Nothing } from '@/data/http/handle'
import { putSameStringBack } from '@/data/jobs'

interface Path {
  readonly params: Promise<{ id: string }>
}

export async function POST(request: Request, { params }: Path) {
  const { id } = await params
  return handle(request, Nothing, () => ({ actionId: putSameStringBack(store(), idFrom(id, `There is no job ${id}.`)).actionId }))
}
