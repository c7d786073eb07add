import { handler } from '@/boundary/handle'
import { store } from '@/data/store/database'
import { idempotent } from '@/data/store/idempotent'
import { atTheBench } from './at-the-bench'

const answered = handler((key, asked, answer) => idempotent(store(), key, asked, answer))

/**
 * Answers a request; what it asks for is done once, and its answer is kept with the house's records. Who is at the bench
 * is noted with it.
 */
export const handle: typeof answered = (request, shape, answer) =>
  answered(request, shape, (body) => store().withActor(atTheBench(request), () => answer(body)))

/** What waited longer on a device was done now, as far as the house can know, s. */
const LONGEST_AGO = 7 * 86_400

/** As `handle`, for what a device may have kept while the house did not answer: it was done when it was done there. */
export const handleLater: typeof answered = (request, shape, answer) => {
  const ago = Number(request.headers.get('x-done-ago') ?? 0)
  const known = Number.isInteger(ago) && ago > 0 && ago <= LONGEST_AGO ? ago : 0
  return handle(request, shape, (body) => store().earlier(known * 1000, () => answer(body)))
}

/** Answers a request that is about the house’s file, and so can be no action of the house. */
export const handleOutside = handler((_key, _asked, answer) => answer())
