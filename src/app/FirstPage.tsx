'use client'

import dynamic from 'next/dynamic'

const BeginningSheet = dynamic(() =>
  import('@/features/beginning/BeginningSheet').then((module) => module.BeginningSheet),
)
const TakeArchive = dynamic(() =>
  import('@/features/archive/TakeArchive').then((module) => module.TakeArchive),
)

/** What an empty house begins with. Loaded only there: Today, at the same address, has no use for its forms. */
export function FirstPage() {
  return <BeginningSheet moveIn={<TakeArchive />} />
}
