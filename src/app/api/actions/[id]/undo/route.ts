import { store } from '@/data/store/database'
import { handle } from '@/app/api/handle'
import { idFrom, Nothing } from '@/boundary/handle'

interface Path {
  readonly params: Promise<{ id: string }>
}

export async function POST(request: Request, { params }: Path) {
  const { id } = await params
  return handle(request, Nothing, () => ({
    actionId: store().undo(idFrom(id, `There is no action ${id} to undo.`)).actionId,
  }))
}
