import type { ReactNode } from 'react'
import { pages } from '@/boundary/paths'
import { SubNavigation } from '@/ui/shell/SubNavigation'

export default function HouseLayout({ children }: { children: ReactNode }) {
  return (
    <>
      <SubNavigation
        label="The house"
        sheets={[
          [pages.house, 'House'],
          [pages.houseHabits, 'Habits'],
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
