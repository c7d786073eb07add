import { handle } from '@/app/api/handle'
import { PairStringsRequest } from '@/boundary/requests/shelf'
import { pairStrings } from '@/data/instruments/pair-strings'
import { store } from '@/data/store/database'

interface Path {
  readonly params: Promise<{ slug: string }>
}

/** Makes a string and the next one a single wire, or a wire that is two strings two again. */
export async function POST(request: Request, { params }: Path) {
  const { slug } = await params
  return handle(request, PairStringsRequest, ({ string, asOne }) => pairStrings(store(), slug, string, asOne))
}
