import { handle } from '@/app/api/handle'
import { ReplaceRequest } from '@/boundary/requests/wear'
import { openReplacements } from '@/data/buying/open-replacements'
import { instrumentBySlug } from '@/data/instruments/instruments'
import { store } from '@/data/store/database'

export function POST(request: Request) {
  return handle(request, ReplaceRequest, ({ instrument, strings, bought }) => {
    const { actionId, result } = openReplacements(
      store(),
      instrumentBySlug(store(), instrument),
      strings,
      bought,
    )
    return { actionId, jobId: result.jobId }
  })
}
