import { handle, handleLater } from '@/app/api/handle'
import { idFrom } from '@/boundary/handle'

interface Path {
  readonly params: Promise<{ id: string }>
}

type Answered = <T extends object>(
  what: string,
  shape: new () => T,
  answer: (id: number, body: T) => object,
) => (request: Request, path: Path) => Promise<Response>

/** A handler for one thing done to the row that the path names; `what` is what it is called when there is none. */
export const byId: Answered = (what, shape, answer) => answeredBy(handle, what, shape, answer)

/** As `byId`, for what a device may have kept while the house did not answer. */
export const byIdLater: Answered = (what, shape, answer) => answeredBy(handleLater, what, shape, answer)

function answeredBy<T extends object>(
  how: typeof handle,
  what: string,
  shape: new () => T,
  answer: (id: number, body: T) => object,
) {
  return async (request: Request, { params }: Path): Promise<Response> => {
    const { id } = await params
    return how(request, shape, (body) => answer(idFrom(id, `There is no ${what} ${id}.`), body))
  }
}
