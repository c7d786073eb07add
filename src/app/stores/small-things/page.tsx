import type { Metadata } from 'next'
import { store } from '@/data/store/database'
import { allSupplies, anchorGut } from '@/data/stores/supplies'
import { SmallThings } from '@/features/stores/SmallThings'

export const metadata: Metadata = { title: 'Anchors, beads, glue' }

export default function SmallThingsPage() {
  return <SmallThings supplies={allSupplies(store())} gut={anchorGut(store())} />
}
