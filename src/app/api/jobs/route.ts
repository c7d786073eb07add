import { store } from '@/data/database'
import { handle } from '@/data/http/handle'
import { instrumentBySlug } from '@/data/instruments'
import { openReplacement } from '@/data/jobs-together'
import { ReplaceRequest } from '@/features/instruments/requests'

export function POST(request: Request) {
  return handle(request, ReplaceRequest, ({ instrument, string }) => {
    const { actionId, result } = openReplacement(store(), instrumentBySlug(store(), instrument), string)
    return { actionId, jobId: result.jobId }
  })
}
