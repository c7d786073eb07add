import { positionAt, type StringPosition } from '@/core/instrument/instrument'
import { store } from '@/data/store/database'
import { instrumentBySlug, positionId, type StoredInstrument } from '@/data/instruments/instruments'
import { orNotFound } from '../../or-not-found'

export interface StringPageProps {
  readonly params: Promise<{ slug: string }>
  readonly searchParams: Promise<{ string?: string }>
}

/** The string that an address such as `/instruments/lovage/bench?string=22` names, the first where it names none; else the not-found page. */
export async function loadPosition({
  params,
  searchParams,
}: StringPageProps): Promise<StoredInstrument & { readonly position: StringPosition }> {
  const { slug } = await params
  const number = Number((await searchParams).string ?? 1)
  return orNotFound(() => {
    const stored = instrumentBySlug(store(), slug)
    positionId(stored, number)
    return { ...stored, position: positionAt(stored.instrument, number) }
  })
}
