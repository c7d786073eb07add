import type { Metadata } from 'next'
import { requireValue } from '@/core/list/require-value'
import { workshopSettings } from '@/data/workshop/settings'
import { EQUAL } from '@/core/temper/temperament'
import { lastRounds } from '@/data/fitted/rounds'
import { stringsOn } from '@/data/fitted/fitted'
import { conditionsSeen } from '@/data/fitted/lives'
import { store } from '@/data/store/database'
import { TuneSheet } from '@/features/tune/TuneSheet'
import { loadPosition, type StringPageProps } from '../load-position'

export const metadata: Metadata = { title: 'Tune' }

export default async function TunePage(props: StringPageProps) {
  const { id, instrument, position, positionIds } = await loadPosition(props)
  const positionId = requireValue(positionIds.get(position.number))
  const string = stringsOn(store(), id).find(({ positionIds: on }) => on.includes(positionId))
  return (
    <TuneSheet
      key={position.number}
      instrument={instrument}
      position={position}
      fitted={
        string
          ? { fittedId: string.id, positionId, look: conditionsSeen(store()).get(string.id)?.at(-1) ?? null }
          : null
      }
      temperament={lastRounds(store(), id, 1)[0]?.temperament ?? EQUAL}
      tolerance={workshopSettings(store()).retuneAtCents}
    />
  )
}
