import type { ReactNode } from 'react'
import { pages } from '@/boundary/paths'
import { SubNavigation } from '@/ui/shell/SubNavigation'

export default function WearLayout({ children }: { children: ReactNode }) {
  return (
    <>
      <SubNavigation
        label="Wear"
        sheets={[
          [pages.today, 'Today'],
          [pages.wear, 'The year ahead'],
          [pages.beforeDate(), 'Before a date'],
        ]}
      />
      {children}
    </>
  )
}
