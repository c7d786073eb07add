import type { Metadata } from 'next'
import { instrumentBySlug } from '@/data/instruments/instruments'
import { store } from '@/data/store/database'
import { restringView } from '@/data/views/restring-view'
import { RestringGoing } from '@/features/restring/RestringGoing'
import { RestringSheet } from '@/features/restring/RestringSheet'
import { orNotFound } from '../../../or-not-found'
import { askedOrigin } from '../../../origin'

export const metadata: Metadata = { title: 'Restring' }

/** The restring that is going on; the plan of one where none is. */
export default async function RestringPage({ params }: { readonly params: Promise<{ slug: string }> }) {
  const { slug } = await params
  const view = orNotFound(() => restringView(store(), instrumentBySlug(store(), slug)))
  const origin = await askedOrigin()
  return view.restring && view.restring.endedAt === null ? (
    <RestringGoing view={view} restring={view.restring} origin={origin} />
  ) : (
    <RestringSheet view={view} origin={origin} />
  )
}
