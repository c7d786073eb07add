import { handle } from '@/app/api/handle'
import { CopyRequest } from '@/boundary/requests/shelf'
import { copyInstrument } from '@/data/instruments/change-strings'
import { store } from '@/data/store/database'

interface Path {
  readonly params: Promise<{ slug: string }>
}

/** Puts a copy of an instrument on the shelf, without its history. */
export async function POST(request: Request, { params }: Path) {
  const { slug } = await params
  return handle(request, CopyRequest, ({ name }) => copyInstrument(store(), slug, name))
}
