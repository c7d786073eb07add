import { store } from '@/data/store/database'
import { deliveryNote, deskState } from '@/data/buying/desk'
import { answerTo } from '@/boundary/handle'

interface Path {
  readonly params: Promise<{ slug: string; ticket: string }>
}

/** What the desk says of an order; once it has answered, with the delivery note for the substitutes taken: `?accepted=GS103`. */
export async function GET(request: Request, { params }: Path) {
  const { slug, ticket } = await params
  const accepted = new URL(request.url).searchParams.getAll('accepted')
  return answerTo(() => {
    const state = deskState(store(), slug, ticket, Date.now())
    return {
      ...state,
      delivery: state.stage === 'acknowledged' ? deliveryNote(store(), slug, ticket, accepted) : [],
    }
  })
}
