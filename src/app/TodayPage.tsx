import type { House } from '@/data/house/house'
import type { TodayView } from '@/data/views/today'
import { RetuneRow } from '@/features/settling/RetuneRow'
import { TailRow } from '@/features/tails/TailRow'
import { TodaySheet } from '@/features/today/TodaySheet'

interface TodayPageProps {
  readonly view: TodayView
  readonly house: House
  readonly now: number
}

/** Today, with the settling strings' own rows put into it. */
export function TodayPage({ view, house, now }: TodayPageProps) {
  const tolerance = house.retuneAtCents
  return (
    <TodaySheet
      view={view}
      house={house}
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
