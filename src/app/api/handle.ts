import { handler } from '@/boundary/handle'
import { store } from '@/data/store/database'
import { once } from '@/data/store/once'
import { atTheBench } from './at-the-bench'

const answered = handler((key, asked, answer) => once(store(), key, asked, answer))

/**
 * Answers a request; what it asks for is done once, and its answer is kept with the house's records. Who is at the bench
 * is noted with it.
 */
export const handle: typeof answered = (request, shape, answer) =>
  answered(request, shape, (body) => store().as(atTheBench(request), () => answer(body)))

/** Answers a request that is about the house’s file, and so can be no action of the house. */
export const handleOutside = handler((_key, _asked, answer) => answer())
