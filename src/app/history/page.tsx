import type { Metadata } from 'next'
import { workshopSettings } from '@/data/workshop/settings'
import { allInstruments } from '@/data/instruments/instruments'
import { store } from '@/data/store/database'
import { actionsLog, HISTORY_KINDS, type HistoryKind } from '@/data/views/actions-log'
import { HistorySheet } from '@/features/history/HistorySheet'
import { endOfDay } from '@/ui/format/time'
import { oneOf, textOf, type Asked } from '../asked'

export const metadata: Metadata = { title: 'History' }

const SHOWN = 60
const KINDS = Object.keys(HISTORY_KINDS) as HistoryKind[]

/** `?on=` an instrument, `?kind=` of action, `?day=` up to which; `?before=` goes back, `?steps=shown` tells the steps too. */
export default async function HistoryPage({ searchParams }: { readonly searchParams: Asked }) {
  const params = await searchParams
  const shelf = allInstruments(store())
  const before = textOf(params, 'before')
  const from = /^\d{1,12}$/.test(before) ? Number(before) : null
  const on = shelf.find(({ instrument }) => instrument.slug === textOf(params, 'on'))
  const kind = oneOf(KINDS, textOf(params, 'kind'))
  const day = textOf(params, 'day')
  const until = endOfDay(day, workshopSettings(store()).timeZone)
  const steps = textOf(params, 'steps') === 'shown'
  return (
    <HistorySheet
      {...actionsLog(store(), SHOWN, { before: from, steps, instrumentId: on?.id ?? null, kind, until })}
      filter={{
        on: on?.instrument.slug ?? '',
        kind: kind ?? '',
        day: until === null ? '' : day,
        steps: steps ? 'shown' : '',
      }}
      isBack={from !== null}
      kinds={KINDS}
      instruments={shelf.map(({ instrument: { slug, name } }) => ({ slug, name }))}
    />
  )
}
