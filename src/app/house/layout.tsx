import type { ReactNode } from 'react'
import { pages } from '@/boundary/paths'
import { SubNavigation } from '@/ui/shell/SubNavigation'

export default function WorkshopLayout({ children }: { children: ReactNode }) {
  return (
    <>
      <SubNavigation
        label="The house"
        sheets={[
          [pages.workshop, 'House'],
          [pages.workshopHabits, 'Habits'],
          [pages.dates, 'Dates'],
          [pages.archive, 'Archive'],
          [pages.backups, 'Backups'],
          [pages.fittings, 'Worked out and measured'],
        ]}
      />
      {children}
    </>
  )
}
