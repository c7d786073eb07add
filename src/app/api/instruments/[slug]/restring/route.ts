import { handle } from '@/app/api/handle'
import { RestringRequest } from '@/boundary/requests/restring'
import { instrumentBySlug } from '@/data/instruments/instruments'
import { beginRestring } from '@/data/jobs/restrings'
import { store } from '@/data/store/database'

interface Path {
  readonly params: Promise<{ slug: string }>
}

export async function POST(request: Request, { params }: Path) {
  const { slug } = await params
  return handle(request, RestringRequest, (asked) => {
    const stored = instrumentBySlug(store(), slug)
    const { actionId, result } = beginRestring(store(), stored, { ...asked, way: asked.way ?? null })
    return { actionId, jobId: result.jobId }
  })
}
