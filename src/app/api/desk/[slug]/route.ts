import { numberIn } from '@/app/asked'
import { store } from '@/data/store/database'
import { handIn } from '@/data/buying/desk'
import { answerTo } from '@/boundary/handle'

interface Path {
  readonly params: Promise<{ slug: string }>
}

/** The stand-in of a supplier's desk: takes an order's CSV, `?seed=7&delay=1500` for a certain answer after a certain time. */
export async function POST(request: Request, { params }: Path) {
  const { slug } = await params
  const asked = new URL(request.url).searchParams
  const number = (name: string, otherwise: number) => numberIn(asked.get(name) ?? '') ?? otherwise
  const csv = await request.text()
  return answerTo(() => ({
    ticket: handIn(store(), slug, csv, number('seed', 1), Date.now(), number('delay', 1500)),
  }))
}
