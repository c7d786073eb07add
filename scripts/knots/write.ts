/**
 * Draws every end knot down and writes what comes of it: the states on the way, and what string and room each takes.
 */
import { writeFileSync } from 'node:fs'
import { TAIL_FASTENINGS } from '@/core/knots/fastenings'
import { hanging, pointsFor } from '@/core/knots/drawn/between'
import { pack, type PackedState } from '@/core/knots/drawn/packed'
import { thinned } from '@/core/knots/drawn/thinned'
import { drawDown } from '@/core/knots/rope/draw-down'
import { measureKnot } from '@/core/knots/rope/measure'
import { centreline } from '@/core/knots/tails/state'
import { MIRRORED, placesOf, rodOf, type AnchorPlace } from '@/core/knots/tails/tail-end'
import { tailEndOf } from '@/core/knots/tails/tail-ends'
import { itemAt } from '@/core/list/item-at'
import { requireValue } from '@/core/list/require-value'

/** What stands for the anchor where the knot is measured without one: the bight closes up but for its own bend. */
const NOTHING = 0.35

const states: Record<string, Record<string, readonly PackedState[]>> = {}
const measures: Record<string, { takes: number; width: number }> = {}
const round = (v: number) => Math.round(v * 10) / 10

for (const fastening of TAIL_FASTENINGS) {
  const tailEnd = tailEndOf(fastening)
  const stop = tailEnd.drawnTo
  const of = MIRRORED[fastening] ?? fastening
  if (stop === null) continue
  if (of !== fastening) {
    measures[fastening] = requireValue(measures[of])
    continue
  }
  const draw = (place: AnchorPlace, radius?: number) => {
    const rod = rodOf(tailEndOf(fastening, place))
    return drawDown({
      curve: centreline(tailEnd),
      rod: rod && { ...rod, radius: radius ?? rod.radius },
      stop,
    })
  }
  const places = placesOf(tailEnd)
  const drawn = places.map((place) => draw(place))
  const points = pointsFor(centreline(tailEnd))
  states[fastening] = Object.fromEntries(
    drawn.map((all, i) => [
      places[i],
      thinned(
        all.map((state) => hanging(state, points)),
        all[0]?.rod ?? null,
      ).map(pack),
    ]),
  )
  const bare = rodOf(tailEnd) ? places.map((place) => draw(place, NOTHING)) : drawn
  const mean = (runs: typeof drawn, what: 'takes' | 'width') =>
    round(
      runs.reduce((sum, run) => {
        const { curve, rod } = itemAt(run, run.length - 1)
        return sum + measureKnot(curve, rod, stop)[what]
      }, 0) / runs.length,
    )
  measures[fastening] = { takes: mean(drawn, 'takes'), width: mean(bare, 'width') }
  console.log(
    fastening,
    measures[fastening],
    Object.values(states[fastening] ?? {})
      .map((kept) => `${kept.length} states`)
      .join(', '),
  )
}
writeFileSync('src/core/knots/drawn/states.json', `${JSON.stringify(states)}\n`)
writeFileSync('src/core/knots/drawn/measures.json', `${JSON.stringify(measures, null, 2)}\n`)
