import { handle } from '@/app/api/handle'
import { AboutRequest } from '@/boundary/requests/about'
import { changeAbout } from '@/data/instruments/about-instrument'
import { store } from '@/data/store/database'

interface Path {
  readonly params: Promise<{ slug: string }>
}

export async function POST(request: Request, { params }: Path) {
  const { slug } = await params
  return handle(request, AboutRequest, (about) =>
    changeAbout(store(), slug, { ...about, name: about.name.trim() }),
  )
}
