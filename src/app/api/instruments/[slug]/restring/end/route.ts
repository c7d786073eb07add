import { handle } from '@/app/api/handle'
import { Nothing } from '@/boundary/handle'
import { instrumentBySlug } from '@/data/instruments/instruments'
import { endRestring } from '@/data/jobs/restrings'
import { store } from '@/data/store/database'

interface Path {
  readonly params: Promise<{ slug: string }>
}

export async function POST(request: Request, { params }: Path) {
  const { slug } = await params
  return handle(request, Nothing, () => endRestring(store(), instrumentBySlug(store(), slug)))
}
