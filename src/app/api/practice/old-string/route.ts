import { handle } from '@/app/api/handle'
import { StringRequest } from '@/boundary/string-request'
import { instrumentBySlug } from '@/data/instruments/instruments'
import { beginOldString } from '@/data/practice/old-string'
import { store } from '@/data/store/database'

export function POST(request: Request) {
  return handle(request, StringRequest, ({ instrument, string }) => {
    const { actionId, result } = beginOldString(store(), instrumentBySlug(store(), instrument), string)
    return { actionId, jobId: result.jobId }
  })
}
