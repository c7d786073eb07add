import { handle } from '@/app/api/handle'
import { LookRequest } from '@/boundary/requests/wear'
import { logLook } from '@/data/fitted/inspections'
import { instrumentBySlug } from '@/data/instruments/instruments'
import { store } from '@/data/store/database'

interface Path {
  readonly params: Promise<{ slug: string }>
}

export async function POST(request: Request, { params }: Path) {
  const { slug } = await params
  return handle(request, LookRequest, (look) => logLook(store(), instrumentBySlug(store(), slug), look))
}
