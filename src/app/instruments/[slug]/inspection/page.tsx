import type { Metadata } from 'next'
import { instrumentBySlug } from '@/data/instruments/instruments'
import { store } from '@/data/store/database'
import { wearOf } from '@/data/views/wear-of-instrument'
import { InspectionSheet } from '@/features/wear/InspectionSheet'
import { numberIn, textOf, type Asked } from '../../../asked'
import { orNotFound } from '../../../or-not-found'

export const metadata: Metadata = { title: 'Inspection' }

interface PageProps {
  readonly params: Promise<{ slug: string }>
  readonly searchParams: Asked
}

export default async function Page({ params, searchParams }: PageProps) {
  const { slug } = await params
  const wear = orNotFound(() => wearOf(store(), instrumentBySlug(store(), slug)))
  return (
    <InspectionSheet wear={wear} asked={numberIn(textOf(await searchParams, 'string'))} now={store().now()} />
  )
}
