import type { Metadata } from 'next'
import { BelongsSheet } from '@/features/belongs/BelongsSheet'
import { loadPosition, type StringPageProps } from '../load-position'

export const metadata: Metadata = { title: 'Does this new string belong here?' }

export default async function BelongsPage(props: StringPageProps) {
  const { instrument, position } = await loadPosition(props)
  return <BelongsSheet key={position.number} instrument={instrument} position={position} />
}
