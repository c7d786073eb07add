import type { Metadata } from 'next'
import { store } from '@/data/store/database'
import { workshopSettings } from '@/data/workshop/settings'
import { allInstruments } from '@/data/instruments/instruments'
import { packetLabels } from '@/data/views/stores-view'
import { unitsOf } from '@/ui/format/measure'
import { LabelSheet } from '@/features/labels/LabelSheet'
import { askedPage, textOf, type Asked } from '../../asked'
import { askedOrigin } from '../../origin'

export const metadata: Metadata = { title: 'Labels' }

/** `?positions=lovage` labels an instrument's positions, `?coils=3,5` those packets alone, `?look=` what has those words. */
export default async function LabelsPage({ searchParams }: { readonly searchParams: Asked }) {
  const params = await searchParams
  const [positions, look] = [textOf(params, 'positions'), textOf(params, 'look')]
  const coils = textOf(params, 'coils', 4000)
  const instruments = allInstruments(store()).map(({ instrument }) => instrument)
  const ids = coils === '' ? null : coils.split(',').map(Number).filter(Number.isInteger)
  return (
    <LabelSheet
      origin={await askedOrigin()}
      units={unitsOf(workshopSettings(store()))}
      packets={packetLabels(store(), { ids, look, page: askedPage(params) })}
      filter={{ look, coils }}
      instrument={instruments.find(({ slug }) => slug === positions) ?? null}
      instruments={instruments.map(({ slug, name }) => ({ slug, name }))}
    />
  )
}
