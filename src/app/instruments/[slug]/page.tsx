import type { Metadata } from 'next'
import { store } from '@/data/store/database'
import { instrumentView } from '@/data/views/instrument-view'
import { instrumentBySlug, type StoredInstrument } from '@/data/instruments/instruments'
import { sparesOf } from '@/data/stores/spares'
import { orNotFound } from '../../or-not-found'
import { InstrumentPage } from './InstrumentPage'

interface Props {
  readonly params: Promise<{ slug: string }>
  readonly searchParams: Promise<{ string?: string }>
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: stored((await params).slug).instrument.name }
}

export default async function Page({ params, searchParams }: Props) {
  const onDesk = stored((await params).slug)
  const asked = Number((await searchParams).string)
  const { length } = onDesk.instrument.positions
  const start = Number.isInteger(asked) && asked >= 1 && asked <= length ? asked : Math.ceil(length / 2)
  return (
    <InstrumentPage
      view={instrumentView(store(), onDesk)}
      start={start}
      now={store().now()}
      spares={sparesOf(store(), onDesk)}
    />
  )
}

function stored(slug: string): StoredInstrument {
  return orNotFound(() => instrumentBySlug(store(), slug))
}
