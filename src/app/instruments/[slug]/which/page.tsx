import type { Metadata } from 'next'
import { store } from '@/data/store/database'
import { openJobNumbers } from '@/data/views/instrument-view'
import { instrumentBySlug } from '@/data/instruments/instruments'
import { WhichString } from '@/features/which/WhichString'
import { orNotFound } from '../../../or-not-found'

export const metadata: Metadata = { title: 'Which string is it?' }

export default async function WhichPage({ params }: { readonly params: Promise<{ slug: string }> }) {
  const { slug } = await params
  const stored = orNotFound(() => instrumentBySlug(store(), slug))
  return <WhichString instrument={stored.instrument} broken={[...openJobNumbers(store(), stored).keys()]} />
}
