import { handle } from '@/app/api/handle'
import { AddStringRequest } from '@/boundary/requests/shelf'
import { addString } from '@/data/instruments/change-strings'
import { store } from '@/data/store/database'

interface Path {
  readonly params: Promise<{ slug: string }>
}

/** Puts a string in; those after it are numbered anew. */
export async function POST(request: Request, { params }: Path) {
  const { slug } = await params
  return handle(request, AddStringRequest, ({ after }) => addString(store(), slug, after))
}
