import { handle } from '@/app/api/handle'
import { RemoveStringRequest } from '@/boundary/requests/shelf'
import { removeString } from '@/data/instruments/change-strings'
import { store } from '@/data/store/database'

interface Path {
  readonly params: Promise<{ slug: string }>
}

/** Takes a string away; those after it are numbered anew. */
export async function POST(request: Request, { params }: Path) {
  const { slug } = await params
  return handle(request, RemoveStringRequest, ({ string }) => removeString(store(), slug, string))
}
