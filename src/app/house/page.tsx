import type { Metadata } from 'next'
import { store } from '@/data/store/database'
import { houseSettings } from '@/data/house/house'
import { HouseForm } from '@/features/house/HouseForm'

export const metadata: Metadata = { title: 'House' }

export default function HousePage() {
  const house = houseSettings(store())
  return <HouseForm key={JSON.stringify(house)} house={house} />
}
