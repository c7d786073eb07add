'use client'

import { lazy, Suspense, useSyncExternalStore } from 'react'

const BeginningSheet = lazy(() =>
  import('@/features/beginning/BeginningSheet').then((module) => ({ default: module.BeginningSheet })),
)
const TakeArchive = lazy(() =>
  import('@/features/archive/TakeArchive').then((module) => ({ default: module.TakeArchive })),
)

const never = () => () => {}

/**
 * What an empty house begins with. Fetched only there: Today, at the same address, has no use for its forms. Nothing is shown
 * before it answers to a hand: a button that stands there sooner loses the first press.
 */
export function FirstPage() {
  const answers = useSyncExternalStore(
    never,
    () => true,
    () => false,
  )
  return <Suspense>{answers && <BeginningSheet moveIn={<TakeArchive />} />}</Suspense>
}
