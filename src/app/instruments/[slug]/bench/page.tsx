import type { Metadata } from 'next'
import { WindingBench } from '@/features/bench/WindingBench'
import { loadPosition, type StringPageProps } from '../load-position'

export const metadata: Metadata = { title: 'Winding bench' }

export default async function BenchPage(props: StringPageProps) {
  const { instrument, position, habits } = await loadPosition(props)
  return <WindingBench key={position.number} instrument={instrument} position={position} habits={habits} />
}
