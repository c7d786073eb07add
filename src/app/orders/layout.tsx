import type { ReactNode } from 'react'
import { SubNavigation } from '@/ui/shell/SubNavigation'

const SHEETS = [
  ['/orders', 'Need list and orders'],
  ['/orders/suppliers', 'Suppliers'],
] as const

export default function OrdersLayout({ children }: { readonly children: ReactNode }) {
  return (
    <>
      <SubNavigation label="Orders" sheets={SHEETS} />
      {children}
    </>
  )
}
