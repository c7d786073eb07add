import type { Route } from 'next'
import { FAMILIES } from '@/core/instrument/family'
import { store } from '@/data/store/database'
import { HANDS, shelfView } from '@/data/views/shelf-view'
import { InstrumentShelf } from '@/features/instruments/InstrumentShelf'
import { oneOf, askedPage, textOf, type Asked } from '../asked'

/** The shelf as it is looked through on two pages: to open an instrument, and to say that a string of it broke. */
export async function shelfPage(
  path: Route,
  title: string,
  lead: string,
  searchParams: Asked,
  leadsTo: 'instrument' | 'brokeOn' = 'instrument',
) {
  const params = await searchParams
  const family = oneOf(FAMILIES, textOf(params, 'family'))
  const needs = oneOf(HANDS, textOf(params, 'needs'))
  const find = textOf(params, 'find')
  const view = shelfView(store(), { find, family, needs, page: askedPage(params) })
  return (
    <InstrumentShelf
      title={title}
      lead={lead}
      leadsTo={leadsTo}
      path={path}
      view={view}
      filter={{ find, family: family ?? '', needs: needs ?? '' }}
    />
  )
}
