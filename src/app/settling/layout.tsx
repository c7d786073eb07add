import type { ReactNode } from 'react'
import { pages } from '@/boundary/paths'
import { SubNavigation } from '@/ui/shell/SubNavigation'

export default function SettlingLayout({ children }: { children: ReactNode }) {
  return (
    <>
      <SubNavigation
        label="Settling"
        sheets={[
          [pages.today, 'Today'],
          [pages.settling, 'Settling'],
          [pages.visits(), 'Visits until a date'],
          [pages.room, 'The room'],
        ]}
      />
      {children}
    </>
  )
}
