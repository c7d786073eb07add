import type { Metadata } from 'next'
import { store } from '@/data/database'
import { allSuppliers } from '@/data/suppliers'
import { SupplierList } from '@/features/suppliers/SupplierList'

export const metadata: Metadata = { title: 'Suppliers' }

export default function SuppliersPage() {
  return <SupplierList suppliers={allSuppliers(store())} />
}
