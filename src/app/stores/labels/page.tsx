import type { Metadata } from 'next'
import { headers } from 'next/headers'
import { store } from '@/data/store/database'
import { houseSettings } from '@/data/house/house'
import { allInstruments } from '@/data/instruments/instruments'
import { packetLabels } from '@/data/views/stores-view'
import { LabelSheet } from '@/features/labels/LabelSheet'

export const metadata: Metadata = { title: 'Labels' }

interface Props {
  readonly searchParams: Promise<{ positions?: string; coils?: string }>
}

/** `?positions=lovage` labels an instrument's positions, `?coils=3,5` those packets alone. */
export default async function LabelsPage({ searchParams }: Props) {
  const { positions, coils } = await searchParams
  const instruments = allInstruments(store()).map(({ instrument }) => instrument)
  const ids = coils?.split(',').map(Number).filter(Number.isInteger) ?? null
  return (
    <LabelSheet
      origin={`http://${(await headers()).get('host') ?? 'localhost'}`}
      unit={houseSettings(store()).unit}
      packets={packetLabels(store(), ids)}
      instrument={instruments.find(({ slug }) => slug === positions) ?? null}
      instruments={instruments.map(({ slug, name }) => ({ slug, name }))}
    />
  )
}
