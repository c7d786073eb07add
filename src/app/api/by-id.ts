import { handle } from '@/app/api/handle'
import { idFrom } from '@/boundary/handle'

interface Path {
  readonly params: Promise<{ id: string }>
}

/** A handler for one thing done to the row that the path names; `what` is what it is called when there is none. */
export function byId<T extends object>(
  what: string,
  shape: new () => T,
  answer: (id: number, body: T) => object,
) {
  return async (request: Request, { params }: Path): Promise<Response> => {
    const { id } = await params
    return handle(request, shape, (body) => answer(idFrom(id, `There is no ${what} ${id}.`), body))
  }
}
