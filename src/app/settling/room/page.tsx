import type { Metadata } from 'next'
import { coreMaterial } from '@/core/strings/construction'
import { airResponses } from '@/data/fitted/weather'
import { roomReadingsOf } from '@/data/workshop/room'
import { allInstruments } from '@/data/instruments/instruments'
import { store } from '@/data/store/database'
import { RoomSheet } from '@/features/settling/RoomSheet'

export const metadata: Metadata = { title: 'The room' }

/** Two weeks of half hours. */
const SHOWN = 672

export default function RoomPage() {
  const responses = airResponses(store())
  const materials = new Set(
    allInstruments(store()).flatMap(({ instrument }) =>
      instrument.positions.map(({ construction }) => coreMaterial(construction).name),
    ),
  )
  return (
    <RoomSheet
      readings={roomReadingsOf(store()).slice(-SHOWN)}
      now={store().now()}
      responses={[...materials].sort().map((material) => ({ material, ...responses[material] }))}
    />
  )
}
