import { handle } from '@/app/api/handle'
import { LayersRequest } from '@/boundary/requests/hardware'
import { changeLayers } from '@/data/instruments/change-hardware'
import { store } from '@/data/store/database'

interface Path {
  readonly params: Promise<{ slug: string }>
}

/** Says what lies over what, in place of what was said before. */
export async function PUT(request: Request, { params }: Path) {
  const { slug } = await params
  return handle(request, LayersRequest, ({ layers }) => changeLayers(store(), slug, layers))
}
