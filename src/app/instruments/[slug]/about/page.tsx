import type { Metadata } from 'next'
import { leadingNames } from '@/core/instrument/names'
import { aboutOf } from '@/data/instruments/about-instrument'
import { byPositionId, instrumentBySlug } from '@/data/instruments/instruments'
import { store } from '@/data/store/database'
import { picturesOf } from '@/data/pictures/pictures'
import { AboutSheet } from '@/features/about/AboutSheet'
import { PicturesSection } from '@/features/about/PicturesSection'
import { orNotFound } from '../../../or-not-found'

export const metadata: Metadata = { title: 'About it' }

export default async function AboutPage({ params }: { params: Promise<{ slug: string }> }) {
  const { slug } = await params
  const stored = orNotFound(() => instrumentBySlug(store(), slug))
  const { id, instrument, retiredAt } = stored
  const nameOf = (positionId: number | null) =>
    positionId === null ? null : leadingNames(byPositionId(store(), positionId).position).name
  const about = aboutOf(stored)
  return (
    <>
      <AboutSheet
        key={JSON.stringify(about)}
        slug={slug}
        about={about}
        isRetired={retiredAt !== null}
        hasLevers={instrument.positions.some(({ mechanism }) => mechanism === 'lever')}
      />
      <PicturesSection
        slug={slug}
        name={instrument.name}
        pictures={picturesOf(store(), id).map((picture) => ({ ...picture, of: nameOf(picture.positionId) }))}
      />
    </>
  )
}
