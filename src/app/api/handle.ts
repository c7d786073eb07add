import { handler } from '@/boundary/handle'
import { store } from '@/data/store/database'
import { once } from '@/data/store/once'

/** Answers a request; what it asks for is done once, and its answer is kept with the house's records. */
export const handle = handler((key, asked, answer) => once(store(), key, asked, answer))
