import type { Metadata } from 'next'
import { store } from '@/data/database'
import { houseSettings } from '@/data/house'
import { WindingBench } from '@/features/bench/WindingBench'
import { loadPosition, type StringPageProps } from '../load-position'

export const metadata: Metadata = { title: 'Winding bench' }

export default async function BenchPage(props: StringPageProps) {
  const { instrument, position } = await loadPosition(props)
  return <WindingBench key={position.number} instrument={instrument} position={position} habits={houseSettings(store()).habits} />
}
