import { CoilRequest } from '@/features/jobs/requests'
import { store } from '@/data/database'
import { handle, idFrom } from '@/data/http/handle'
import { chooseCoil } from '@/data/jobs'

interface Path {
  readonly params: Promise<{ id: string }>
}

export async function POST(request: Request, { params }: Path) {
  const { id } = await params
  return handle(request, CoilRequest, ({ coilId }) => {
    const jobId = idFrom(id, `There is no job ${id}.`)
    return { actionId: chooseCoil(store(), jobId, coilId).actionId }
  })
}
