import { answerTo } from '@/boundary/handle'
import { instrumentBySlug } from '@/data/instruments/instruments'
import { store } from '@/data/store/database'
import { buyingFor, listedPieces } from '@/data/views/restring-materials'

interface Path {
  readonly params: Promise<{ slug: string }>
}

/** `?pieces=1,2`: what the order plan of those strings is made from. */
export async function GET(request: Request, { params }: Path) {
  const { slug } = await params
  return answerTo(() => {
    const stored = instrumentBySlug(store(), slug)
    const pieces = new URL(request.url).searchParams.get('pieces') ?? ''
    return buyingFor(store(), stored, listedPieces(stored, pieces))
  })
}
