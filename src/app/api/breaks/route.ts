import { BreakRequest } from '@/features/breaks/requests'
import { store } from '@/data/database'
import { handle } from '@/data/http/handle'
import { instrumentBySlug } from '@/data/instruments'
import { logBreak } from '@/data/jobs'

export function POST(request: Request) {
  return handle(request, BreakRequest, ({ instrument, string, site }) => {
    const { actionId, result } = logBreak(store(), instrumentBySlug(store(), instrument), string, site)
    return { actionId, jobId: result.jobId }
  })
}
