'use client'

import type { TodayView } from '@/data/views/today'
import { RetuneRow } from '@/features/settling/RetuneRow'
import { TailRow } from '@/features/tails/TailRow'
import { TodaySheet } from '@/features/today/TodaySheet'

interface TodayPageProps {
  readonly view: TodayView
  readonly now: number
  readonly tolerance: number
}

/**
 * Today, with the settling strings' own rows put into it. Drawn on the server alone it would be sent twice, as a page and as
 * what it is made of.
 */
export function TodayPage({ view, now, tolerance }: TodayPageProps) {
  return (
    <TodaySheet
      view={view}
      now={now}
      tolerance={tolerance}
      tailRow={(tail) => <TailRow key={tail.id} tail={tail} now={now} />}
      retuneRow={(settling) => (
        <RetuneRow
          key={`${settling.fittedId}-${settling.positionId}`}
          settling={settling}
          now={now}
          tolerance={tolerance}
        />
      )}
    />
  )
}
