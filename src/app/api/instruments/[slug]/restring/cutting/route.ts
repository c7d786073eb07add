import { answerTo } from '@/boundary/handle'
import { instrumentBySlug } from '@/data/instruments/instruments'
import { store } from '@/data/store/database'
import { cuttingBenchFor } from '@/data/stores/cutting'
import { listedPieces } from '@/data/views/restring-materials'

interface Path {
  readonly params: Promise<{ slug: string }>
}

/** `?pieces=1,2`: what those strings could be cut from. */
export async function GET(request: Request, { params }: Path) {
  const { slug } = await params
  return answerTo(() => {
    const stored = instrumentBySlug(store(), slug)
    const pieces = new URL(request.url).searchParams.get('pieces') ?? ''
    return cuttingBenchFor(store(), stored, listedPieces(stored, pieces))
  })
}
