import type { ReactNode } from 'react'
import { pages } from '@/boundary/paths'
import { SubNavigation } from '@/ui/shell/SubNavigation'

const SHEETS = [
  [pages.stores, 'Coils'],
  [pages.cutting, 'Cutting plan'],
  [pages.smallThings, 'Anchors, beads, glue'],
  [pages.labels, 'Labels'],
] as const

export default function StoresLayout({ children }: { readonly children: ReactNode }) {
  return (
    <>
      <SubNavigation label="Stores" sheets={SHEETS} />
      {children}
    </>
  )
}
