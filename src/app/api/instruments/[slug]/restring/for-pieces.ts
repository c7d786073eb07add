import { answerTo } from '@/boundary/handle'
import { instrumentBySlug, type StoredInstrument } from '@/data/instruments/instruments'
import { store, type Store } from '@/data/store/database'
import { listedPieces } from '@/data/views/restring-materials'

export interface Path {
  readonly params: Promise<{ slug: string }>
}

/** Answers for the strings that an address names by their numbers: `?pieces=1,2`. */
export async function forPieces<T extends object>(
  request: Request,
  { params }: Path,
  answer: (store: Store, stored: StoredInstrument, ids: readonly number[]) => T,
): Promise<Response> {
  const { slug } = await params
  return answerTo(() => {
    const stored = instrumentBySlug(store(), slug)
    const pieces = new URL(request.url).searchParams.get('pieces') ?? ''
    return answer(store(), stored, listedPieces(stored, pieces))
  })
}
