import { handle } from '@/app/api/handle'
import { PolishRequest } from '@/boundary/requests/wear'
import { logPolish } from '@/data/fitted/break-places'
import { instrumentBySlug } from '@/data/instruments/instruments'
import { store } from '@/data/store/database'

interface Path {
  readonly params: Promise<{ slug: string }>
}

export async function POST(request: Request, { params }: Path) {
  const { slug } = await params
  return handle(request, PolishRequest, ({ number, site }) =>
    logPolish(store(), instrumentBySlug(store(), slug), number, site),
  )
}
