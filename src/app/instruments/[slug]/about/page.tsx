import type { Metadata } from 'next'
import { instrumentBySlug } from '@/data/instruments/instruments'
import { store } from '@/data/store/database'
import { AboutSheet } from '@/features/about/AboutSheet'
import { orNotFound } from '../../../or-not-found'

export const metadata: Metadata = { title: 'About it' }

export default async function AboutPage({ params }: { params: Promise<{ slug: string }> }) {
  const { slug } = await params
  const { instrument, notes, chartLink, retiredAt } = orNotFound(() => instrumentBySlug(store(), slug))
  const { name, owner, maker, model, tensionClass, restTuning, referenceA, lies, strung } = instrument
  const about = {
    name,
    owner,
    maker,
    model,
    tensionClass,
    restTuning,
    referenceA,
    lies,
    strung,
    notes,
    chartLink,
  }
  return <AboutSheet key={JSON.stringify(about)} slug={slug} about={about} isRetired={retiredAt !== null} />
}
