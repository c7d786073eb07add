import { store } from '@/data/database'
import { handle } from '@/data/http/handle'
import { instrumentBySlug } from '@/data/instruments'
import { openReplacement } from '@/data/jobs-together'
import { StringRequest } from '@/data/http/string-request'

export function POST(request: Request) {
  return handle(request, StringRequest, ({ instrument, string }) => {
    const { actionId, result } = openReplacement(store(), instrumentBySlug(store(), instrument), string)
    return { actionId, jobId: result.jobId }
  })
}
