'use client'

import { RetuneRow } from '@/features/settling/RetuneRow'
import { TailRow } from '@/features/tails/TailRow'
import { TodaySheet } from '@/features/today/TodaySheet'
import type { ToldToday } from '@/features/today/told-today'
import type { ReactNode } from 'react'

interface TodayPageProps {
  readonly today: ToldToday
  readonly tolerance: number
  /** Ways to where more of it is told; few enough to be sent twice. */
  readonly beside: ReactNode
  /** Lists of what waits; few enough, too. */
  readonly waiting: ReactNode
}

/**
 * Today, with the settling strings' own rows put into it. Drawn on the server alone it would be sent twice, as a page and as
 * what it is made of.
 */
export function TodayPage({ today, tolerance, beside, waiting }: TodayPageProps) {
  return (
    <TodaySheet
      today={today}
      tolerance={tolerance}
      beside={beside}
      waiting={waiting}
      tailRow={(tail) => <TailRow key={tail.id} tail={tail} />}
      retuneRow={(settling) => (
        <RetuneRow
          key={`${settling.fittedId}-${settling.positionId}`}
          settling={settling}
          tolerance={tolerance}
        />
      )}
    />
  )
}
