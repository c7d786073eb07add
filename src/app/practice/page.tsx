import type { Metadata } from 'next'
import { store } from '@/data/store/database'
import { practiceView } from '@/data/views/practice-view'
import { PracticeSheet } from '@/features/practice/PracticeSheet'
import { textOf, type Asked } from '../asked'
import { orNotFound } from '../or-not-found'
import { personAtBench } from '../person-at-bench'

export const metadata: Metadata = { title: 'Practice' }

export default async function PracticePage({ searchParams }: { readonly searchParams: Asked }) {
  const on = textOf(await searchParams, 'on') || undefined
  const me = await personAtBench()
  const view = orNotFound(() => practiceView(store(), me ?? '', on))
  return <PracticeSheet view={view} me={me} now={store().now()} />
}
