import { BreakRequest } from '@/boundary/requests/breaks'
import { store } from '@/data/store/database'
import { handle } from '@/app/api/handle'
import { instrumentBySlug } from '@/data/instruments/instruments'
import { logBreak } from '@/data/jobs/log-break'

export function POST(request: Request) {
  return handle(request, BreakRequest, ({ instrument, string, site }) => {
    const { actionId, result } = logBreak(store(), instrumentBySlug(store(), instrument), string, site)
    return { actionId, jobId: result.jobId }
  })
}
