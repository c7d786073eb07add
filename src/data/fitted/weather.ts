/**
 * What is known of the weather: how settled strings moved between rounds of tuning, and the air of the room.
 */
import { and, asc, eq, gte, inArray, isNull, ne, type SQL } from 'drizzle-orm'
import { grouped } from '@/core/list/grouped'
import { learnResponse, Room, type AirResponse, type AirSeen, type Sure } from '@/core/settle/room'
import { sharedWeather, type NeighbourReading } from '@/core/settle/shared-weather'
import { SETTLED } from '@/core/settle/drift'
import { READING_OFF, weatherOf } from '@/core/settle/weather'
import { coreMaterial } from '@/core/strings/construction'
import { MATERIALS, type Material } from '@/core/strings/materials'
import { offEqual } from '@/core/temper/temperament'
import { HOUR } from '@/core/units/time'
import { roomReadingsOf } from '../workshop/room'
import { readDegrees } from '../workshop/temperaments'
import { byPositionId } from '../instruments/instruments'
import type { Store } from '../store/database'
import { inChunks } from '../store/in-chunks'
import {
  fittedPositions,
  fittedStrings,
  instruments,
  positions,
  roomReadings,
  roundReadings,
  tuningRounds,
} from '../store/schema'

/** Strings of other years settled another way, h. */
const READ_BACK = 730 * 24

interface SettledReading extends NeighbourReading {
  readonly instrumentId: number
  readonly material: Material
}

interface Weathered {
  readonly room: Room
  /** By instrument and material. */
  readonly neighbours: ReadonlyMap<string, readonly SettledReading[]>
  readonly responses: Readonly<Record<Material, AirResponse>>
}

/** All that the weather is worked out from. */
export const WEATHER_FROM = [
  roomReadings,
  roundReadings,
  tuningRounds,
  fittedStrings,
  fittedPositions,
  instruments,
  positions,
] as const

function weathered(store: Store): Weathered {
  return store.cache.get('weather', WEATHER_FROM, () => {
    const room = new Room(roomReadingsOf(store))
    const settled = settledReadings(store)
    const ofMaterial = grouped(settled, ({ material }) => material)
    const seen = (material: Material): readonly AirSeen[] =>
      (ofMaterial.get(material) ?? []).map(({ from, to, rose }) => ({
        change: room.change(from, to),
        rose,
        // What the air does not explain, and two readings.
        error: Math.hypot(weatherOf(material).strays, READING_OFF * Math.SQRT2),
      }))
    const responses = Object.fromEntries(
      MATERIALS.map((material) => [material, learnResponse(material, seen(material))]),
    ) as Record<Material, AirResponse>
    const neighbours = grouped(settled, (one) => amongOf(one.instrumentId, one.material))
    return { room, neighbours, responses }
  })
}

/** What the air does to strings of each material, by what the house's own have told. */
export const airResponses = (store: Store): Readonly<Record<Material, AirResponse>> =>
  weathered(store).responses

/** What the weather did to a string of an instrument between two times, ms; null where nothing is known. */
export function weatherBetween(
  store: Store,
  instrumentId: number,
  material: Material,
  from: number,
  to: number,
): Sure | null {
  const { room, neighbours, responses } = weathered(store)
  return sharedWeather(
    {
      weather: weatherOf(material),
      response: responses[material],
      room,
      neighbours: neighbours.get(amongOf(instrumentId, material)) ?? [],
    },
    from,
    to,
  )
}

const amongOf = (instrumentId: number, material: Material) => `${instrumentId} ${material}`

/** A string at its turn in a round, with the degrees that it was tuned by. */
interface Turn {
  readonly positionId: number
  readonly instrumentId: number
  readonly at: number
  readonly found: number
  readonly left: number | null
  readonly degrees: string
}

/** Settled strings between being left in one round and being found in the next turn of theirs. */
function settledReadings(store: Store): readonly SettledReading[] {
  const since = store.now() - READ_BACK * HOUR
  const fittedAt = onSince(store)
  const degreesOf = new Map<string, readonly number[]>()
  const centsBy = (degrees: string) => {
    const cents = degreesOf.get(degrees) ?? readDegrees(degrees)
    degreesOf.set(degrees, cents)
    return { cents }
  }
  const last = new Map<number, { readonly at: number; readonly cents: number }>()
  const turns = [...turnsOf(store, since).values()].filter(({ at }) => at >= since)
  // They are kept by their id; one that was put back by undoing may be older than those before it.
  turns.sort((a, b) => a.at - b.at)
  return turns.flatMap(({ positionId, instrumentId, at, found, left, degrees }): SettledReading[] => {
    const { position } = byPositionId(store, positionId)
    const off = offEqual(centsBy(degrees), position.note)
    const was = last.get(positionId)
    if (left !== null) last.set(positionId, { at, cents: left + off })
    // One that is on since nobody knows when has long settled.
    const settledAt = (fittedAt.get(positionId) ?? -Infinity) + SETTLED * HOUR
    if (!was || was.at < settledAt) return []
    const material = coreMaterial(position.construction).name
    return [{ instrumentId, material, from: was.at, to: at, rose: found + off - was.cents }]
  })
}

/** What was read in all rounds since a time; of what is written later only that is read. */
function turnsOf(store: Store, since: number): ReadonlyMap<number, Turn> {
  const read = (which: SQL | undefined): readonly (readonly [number, Turn])[] =>
    store.rows
      .select({
        id: roundReadings.id,
        positionId: roundReadings.positionId,
        instrumentId: tuningRounds.instrumentId,
        at: roundReadings.at,
        found: roundReadings.foundCents,
        left: roundReadings.leftCents,
        degrees: tuningRounds.degrees,
      })
      .from(roundReadings)
      .innerJoin(tuningRounds, eq(tuningRounds.id, roundReadings.roundId))
      .where(which)
      .orderBy(asc(roundReadings.id))
      .all()
      .map(({ id, ...turn }) => [id, turn])
  return store.cache.rows('turns of rounds', roundReadings, (ids) =>
    ids === null
      ? read(gte(roundReadings.at, since))
      : inChunks(ids, (some) => read(inArray(roundReadings.id, [...some]))),
  )
}

/** Since when the string on each position is on, ms; left out where it is on for years. */
function onSince(store: Store): ReadonlyMap<number, number> {
  return store.cache.get(
    'on since',
    [fittedStrings, fittedPositions],
    () =>
      new Map(
        store.rows
          .select({ positionId: fittedPositions.positionId, at: fittedStrings.fittedAt })
          .from(fittedStrings)
          .innerJoin(fittedPositions, eq(fittedPositions.fittedId, fittedStrings.id))
          .where(and(isNull(fittedStrings.endedAt), ne(fittedStrings.since, 'about')))
          .all()
          .map(({ positionId, at }) => [positionId, at]),
      ),
  )
}
