import type { Metadata } from 'next'
import { pages } from '@/boundary/paths'
import { dueGo } from '@/data/practice/goes'
import { store } from '@/data/store/database'
import { PracticeGoSheet } from '@/features/practice/PracticeGoSheet'
import { personAtBench } from '../../person-at-bench'

export const metadata: Metadata = { title: 'Practice' }

export default async function DuePage() {
  const me = await personAtBench()
  return (
    <PracticeGoSheet
      go={dueGo(store(), me ?? '')}
      title="What is due"
      address={pages.practiceDue}
      nothing="Nothing is due, and nothing is new."
    />
  )
}
