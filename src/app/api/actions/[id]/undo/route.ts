import { store } from '@/data/database'
import { handle, idFrom, Nothing } from '@/data/http/handle'

interface Path {
  readonly params: Promise<{ id: string }>
}

export async function POST(request: Request, { params }: Path) {
  const { id } = await params
  return handle(request, Nothing, () => ({
    actionId: store().undo(idFrom(id, `There is no action ${id} to undo.`)).actionId,
  }))
}
