import { StepRequest } from '@/features/jobs/requests'
import { store } from '@/data/database'
import { handle, idFrom } from '@/data/http/handle'
import { markStep } from '@/data/jobs'

interface Path {
  readonly params: Promise<{ id: string }>
}

export async function POST(request: Request, { params }: Path) {
  const { id } = await params
  return handle(request, StepRequest, ({ step, done }) => {
    const jobId = idFrom(id, `There is no job ${id}.`)
    markStep(store(), jobId, step, done)
    return { step, done }
  })
}
