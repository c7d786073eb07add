import { handle } from '@/app/api/handle'
import { stringsOn } from '@/boundary/requests/new-instrument'
import { AgesRequest } from '@/boundary/requests/wear'
import { sayOnSince } from '@/data/fitted/on-already'
import { instrumentBySlug } from '@/data/instruments/instruments'
import { store } from '@/data/store/database'

interface Path {
  readonly params: Promise<{ slug: string }>
}

/** Says since when strings are on that nobody saw put on, or that none is there. */
export async function POST(request: Request, { params }: Path) {
  const { slug } = await params
  return handle(request, AgesRequest, ({ numbers, ...said }) =>
    sayOnSince(store(), instrumentBySlug(store(), slug), numbers, stringsOn(said)),
  )
}
