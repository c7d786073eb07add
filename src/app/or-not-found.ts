import { notFound } from 'next/navigation'
import { isRefusal } from '@/boundary/refusal'

/** What is looked up, or the page that says there is nothing here. */
export function orNotFound<T>(lookUp: () => T): T {
  try {
    return lookUp()
  } catch (error) {
    if (isRefusal(error) && error.status === 404) notFound()
    throw error
  }
}
