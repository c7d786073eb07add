'use client'

import { lazy, Suspense } from 'react'

const BeginningSheet = lazy(() =>
  import('@/features/beginning/BeginningSheet').then((module) => ({ default: module.BeginningSheet })),
)
const TakeArchive = lazy(() =>
  import('@/features/archive/TakeArchive').then((module) => ({ default: module.TakeArchive })),
)

/** What an empty house begins with. Loaded only there: Today, at the same address, has no use for its forms. */
export function FirstPage() {
  return (
    <Suspense>
      <BeginningSheet moveIn={<TakeArchive />} />
    </Suspense>
  )
}
