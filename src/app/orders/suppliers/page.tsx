import type { Metadata } from 'next'
import { store } from '@/data/store/database'
import { allSuppliers } from '@/data/buying/suppliers'
import { houseSettings } from '@/data/house/house'
import { SupplierList } from '@/features/suppliers/SupplierList'

export const metadata: Metadata = { title: 'Suppliers' }

export default function SuppliersPage() {
  return <SupplierList suppliers={allSuppliers(store())} currency={houseSettings(store()).currency} />
}
