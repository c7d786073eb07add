import type { Metadata } from 'next'
import { PERIODS } from '@/core/wear/period'
import { instrumentBySlug } from '@/data/instruments/instruments'
import { store } from '@/data/store/database'
import { wearOf } from '@/data/views/wear-of-instrument'
import { InstrumentWearSheet } from '@/features/wear/InstrumentWearSheet'
import { numberIn, oneOf, textOf, type Asked } from '../../../asked'
import { orNotFound } from '../../../or-not-found'

export const metadata: Metadata = { title: 'Wear' }

interface PageProps {
  readonly params: Promise<{ slug: string }>
  readonly searchParams: Asked
}

export default async function Page({ params, searchParams }: PageProps) {
  const { slug } = await params
  const asked = await searchParams
  const within = oneOf(PERIODS, textOf(asked, 'within')) ?? 'a year'
  const wear = orNotFound(() => wearOf(store(), instrumentBySlug(store(), slug), within))
  return <InstrumentWearSheet wear={wear} asked={numberIn(textOf(asked, 'string'))} now={store().now()} />
}
