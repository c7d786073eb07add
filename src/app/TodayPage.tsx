'use client'

import type { TodayView } from '@/data/views/today'
import { RetuneRow } from '@/features/settling/RetuneRow'
import { TailRow } from '@/features/tails/TailRow'
import { TodaySheet } from '@/features/today/TodaySheet'

/** Today, with the settling strings' own rows put into it. */
export function TodayPage({ view, now, tolerance }: { view: TodayView; now: number; tolerance: number }) {
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
