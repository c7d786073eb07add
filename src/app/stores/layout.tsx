import type { ReactNode } from 'react'
import { SubNavigation } from '@/ui/shell/SubNavigation'

const SHEETS = [
  ['/stores', 'Coils'],
  ['/stores/cutting', 'Cutting plan'],
  ['/stores/small-things', 'Anchors, beads, glue'],
  ['/stores/labels', 'Labels'],
] as const

export default function StoresLayout({ children }: { readonly children: ReactNode }) {
  return (
    <>
      <SubNavigation label="Stores" sheets={SHEETS} />
      {children}
    </>
  )
}
