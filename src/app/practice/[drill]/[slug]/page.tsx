import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { pages } from '@/boundary/paths'
import { drillFacts, DRILLS } from '@/core/practice/drill'
import { drillGo } from '@/data/practice/goes'
import { store } from '@/data/store/database'
import { PracticeGoSheet } from '@/features/practice/PracticeGoSheet'
import { oneOf, textOf, type Asked } from '../../../asked'
import { orNotFound } from '../../../or-not-found'
import { personAtBench } from '../../../person-at-bench'

export const metadata: Metadata = { title: 'Practice' }

interface PageProps {
  readonly params: Promise<{ drill: string; slug: string }>
  readonly searchParams: Asked
}

export default async function DrillPage({ params, searchParams }: PageProps) {
  const { drill: asked, slug } = await params
  const drill = oneOf(DRILLS, asked) ?? notFound()
  const card = textOf(await searchParams, 'card') || undefined
  const me = await personAtBench()
  const go = orNotFound(() => drillGo(store(), me ?? '', drill, slug, card))
  return (
    <PracticeGoSheet
      go={go}
      title={drillFacts(drill).title}
      address={pages.drill(drill, slug, card)}
      nothing="On this instrument there is nothing of it to ask."
    />
  )
}
