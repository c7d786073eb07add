import { store } from '@/data/store/database'
import { handle } from '@/app/api/handle'
import { instrumentBySlug } from '@/data/instruments/instruments'
import { openReplacement } from '@/data/jobs/jobs-together'
import { StringRequest } from '@/boundary/string-request'

export function POST(request: Request) {
  return handle(request, StringRequest, ({ instrument, string }) => {
    const { actionId, result } = openReplacement(store(), instrumentBySlug(store(), instrument), string)
    return { actionId, jobId: result.jobId }
  })
}
