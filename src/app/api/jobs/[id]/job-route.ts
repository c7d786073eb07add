import { handle, idFrom } from '@/data/http/handle'

interface Path {
  readonly params: Promise<{ id: string }>
}

/** A handler for one thing done to the job that the path names. */
export function jobRoute<T extends object>(shape: new () => T, answer: (jobId: number, body: T) => object) {
  return async (request: Request, { params }: Path): Promise<Response> => {
    const { id } = await params
    return handle(request, shape, (body) => answer(idFrom(id, `There is no job ${id}.`), body))
  }
}
