import type { ReactNode } from 'react'
import { pages } from '@/boundary/paths'
import { SubNavigation } from '@/ui/shell/SubNavigation'

const SHEETS = [
  [pages.orders, 'Need list and orders'],
  [pages.suppliers, 'Suppliers'],
] as const

export default function OrdersLayout({ children }: { readonly children: ReactNode }) {
  return (
    <>
      <SubNavigation label="Orders" sheets={SHEETS} />
      {children}
    </>
  )
}
