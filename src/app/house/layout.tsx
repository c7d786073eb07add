import type { ReactNode } from 'react'
import { SubNavigation } from '@/ui/shell/SubNavigation'

export default function HouseLayout({ children }: { children: ReactNode }) {
  return (
    <>
      <SubNavigation
        label="The house"
        sheets={[
          ['/house', 'House'],
          ['/house/habits', 'Habits'],
          ['/house/fittings', 'Worked out and measured'],
        ]}
      />
      {children}
    </>
  )
}
