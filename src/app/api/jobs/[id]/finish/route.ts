import { FinishRequest } from '@/features/jobs/requests'
import { store } from '@/data/database'
import { handle, idFrom } from '@/data/http/handle'
import { lengthOf } from '@/data/http/length-text'
import { finishJob } from '@/data/jobs'

interface Path {
  readonly params: Promise<{ id: string }>
}

export async function POST(request: Request, { params }: Path) {
  const { id } = await params
  return handle(request, FinishRequest, ({ cut, unit, wraps, gauge }) => {
    const jobId = idFrom(id, `There is no job ${id}.`)
    const measured = gauge === undefined ? null : lengthOf(gauge, unit)
    const { actionId, result } = finishJob(store(), jobId, { cut: cut === undefined ? null : lengthOf(cut, unit), wraps, gauge: measured })
    return { actionId, fittedId: result.fittedId }
  })
}
