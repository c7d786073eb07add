/** Plans of restrings against every plan there is, and against what an instrument allows. */
import { readShelf } from '@/data/demo/shelf-files'
import { positionAt, type Instrument } from '../instrument/instrument'
import { seeded } from '../random/seeded'
import { DEFAULT_HABITS } from '../fitting/habits'
import { own } from '../fitting/walks/told'
import { startingYields } from '../rounds/board'
import { footTurns } from '../fitting/feet'
import { bringUp } from './bringing-up'
import { problemOf } from './checked'
import { goesFromBare } from './from-bare'
import { handsFor, sharesOf } from './hands'
import { stopBlocks } from './stop-block'
import { Batches, type Bench } from './batch'
import { Frame, isAllowed, MOST_SHIFT } from './frame'
import { lostBetween } from './lost'
import { piecesOf, piecesToChange, type Piece } from './piece'
import { judged, roundsAfter } from './judged'
import { standsAfter } from './moments'
import { goMoved, movedTo } from './moved'
import { passedFirst } from './passed-first'
import { planOf, planRestring, unitsOf } from './plan'
import { goesBy, waysFor } from './taught-ways'
import { minutesOfGo } from './sessions'

const ALLOWED = { share: 0.85, shift: MOST_SHIFT }
const shelf = readShelf('demo').instruments
const on = (slug: string) => shelf.find((one) => one.slug === slug) as Instrument
const benchOf = (instrument: Instrument, numbers = instrument.positions.map((p) => p.number)): Bench => {
  const pieces = piecesOf(instrument)
  return {
    pieces,
    changed: piecesToChange(instrument, pieces, numbers),
    allowed: ALLOWED,
    tolerance: 15,
    lost: lostBetween(instrument, pieces, startingYields(instrument)),
  }
}

/** All ways to part some things into sets. */
function partings(of: readonly number[]): readonly (readonly (readonly number[])[])[] {
  const [first, ...rest] = of
  if (first === undefined) return [[]]
  return partings(rest).flatMap((parting) => [
    [[first], ...parting],
    ...parting.map((set, i) => parting.with(i, [first, ...set])),
  ])
}

/** The least that a set loses over all its orders in which nothing goes on before what it lies over. */
function leastLost({ piece, bench }: Batches, set: readonly number[]): number {
  let best = Infinity
  const up: number[] = []
  const go = (left: readonly number[], lost: number) => {
    if (left.length === 0) best = Math.min(best, lost)
    for (const id of left) {
      if (left.some((other) => [...piece(other).over, ...piece(other).crossing].includes(id))) continue
      const more = up.reduce((sum, other) => sum + bench.lost(other, id), 0)
      up.push(id)
      go(
        left.filter((other) => other !== id),
        lost + more,
      )
      up.pop()
    }
  }
  go(set, 0)
  return best
}

/** Whether these hang together by what lies over what, and so come off together or not at all. */
function isKnot({ changed }: Bench, set: readonly number[]): boolean {
  const found = new Set(set.slice(0, 1))
  for (let grew = true; grew;) {
    const before = found.size
    for (const { id, over } of changed)
      for (const other of over.filter((one) => changed.some((piece) => piece.id === one)))
        if (found.has(id) || found.has(other)) found.add(id).add(other)
    grew = found.size > before
  }
  return found.size === set.length && set.every((id) => found.has(id))
}

/** An instrument that nobody would build, of up to so many strings, some of them over others. */
function made(random: () => number, most: number): Bench {
  const count = 2 + Math.floor(random() * (most - 1))
  const pieces = Array.from({ length: count }, (_, i): Piece => ({
    id: i + 1,
    numbers: [i + 1],
    tension: 20 + 100 * random(),
    at: i * 0.02 + 0.01 * random(),
    length: 0.2 + 0.1 * i,
    inside: random() < 0.5,
    // Only what has a higher number lies over: layers can't run in a circle.
    over: Array.from({ length: count - i - 1 }, (__, j) => i + j + 2).filter(() => random() < 0.1),
    crossing: Array.from({ length: count - i - 1 }, (__, j) => i + j + 2).filter(() => random() < 0.1),
  }))
  const fall = pieces.map(() => pieces.map(() => 40 * random()))
  return {
    pieces,
    changed: pieces.filter(() => random() < 0.85),
    allowed: { share: 0.2 + 0.6 * random(), shift: 0.05 + 0.2 * random() },
    tolerance: 15,
    lost: (a, b) => fall[a - 1]?.[b - 1] ?? 0,
  }
}

test('the optimum is that of all partings and all orders, on 200 instruments of up to nine strings', () => {
  const random = seeded(16)
  for (let round = 0; round < 200; round += 1) {
    // All orders of nine take their time: most rounds are of fewer.
    const bench = made(random, round % 20 === 0 ? 9 : 7)
    const batches = new Batches(bench)
    const cheapest = new Map<string, number>()
    const costOf = (set: readonly number[]): number => {
      const known = cheapest.get(set.join())
      if (known !== undefined) return known
      const can =
        batches.isReachable(set) && (isKnot(bench, set) || isAllowed(batches.carried(set), bench.allowed))
      const cost = can ? batches.settingOut(set) + batches.minutesFor(leastLost(batches, set)) : Infinity
      cheapest.set(set.join(), cost)
      return cost
    }
    const ids = bench.changed.map(({ id }) => id)
    if (ids.length === 0) continue
    const leastOf = (ways: ReturnType<typeof partings>) =>
      Math.min(
        ...ways.map((parting) =>
          parting.reduce((sum, set) => sum + costOf([...set].sort((a, b) => a - b)), 0),
        ),
      )
    const all = partings(ids)
    // No string that is new is loosened again, where that can be.
    const kept = leastOf(all.filter((parting) => passedFirst(batches, parting) !== null))
    const best = Number.isFinite(kept) ? kept : leastOf(all)
    const plan = planRestring(bench)!
    expect(plan.minutes).toBeCloseTo(best, 8)
    expect(plan.isProven).toBe(true)
    expect(plan.batches.flatMap((go) => go.ids).sort()).toEqual([...ids].sort())
  }
})

test('every string of Lovage is planned, within its load, and near the best there can be', () => {
  const bench = benchOf(on('lovage'))
  const started = performance.now()
  const plan = planRestring(bench)!
  expect(performance.now() - started).toBeLessThan(60_000)
  expect(plan.batches.flatMap((go) => go.ids).sort((a, b) => a - b)).toEqual(
    bench.changed.map(({ id }) => id),
  )
  for (const { carried } of plan.batches) expect(isAllowed(carried, ALLOWED)).toBe(true)
  expect(plan.bound).toBeLessThanOrEqual(plan.minutes)
  expect(plan.bound).toBeGreaterThan(0.6 * plan.minutes)
  // One for one is allowed as well, and takes longer.
  const singly = planOf(
    new Batches(bench),
    bench.changed.map(({ id }) => [id]),
  )
  expect(plan.minutes).toBeLessThan(singly.minutes)
})

test('where the best is known the search comes near it, and what it says of the best is true', () => {
  const random = seeded(61)
  let [searched, best] = [0, 0]
  const benches = [
    benchOf(on('fennel'), [3, 6, 9, 12, 15, 18, 21, 24, 27, 30]),
    benchOf(on('lovage'), [1, 5, 9, 14, 19, 24, 28, 33, 38, 42, 47]),
    ...Array.from({ length: 40 }, () => made(random, 10)).filter(({ changed }) => changed.length > 0),
  ]
  for (const bench of benches) {
    const exact = planRestring(bench)!
    const found = planRestring(bench, () => true, 0)!
    expect(found.minutes).toBeGreaterThan(exact.minutes - 1e-9)
    expect(found.bound).toBeLessThan(exact.minutes + 1e-9)
    searched += found.minutes
    best += exact.minutes
  }
  expect(searched / best).toBeLessThan(1.02)
})

test('what lies over a string comes off with it, goes on after it, and is moved aside where it is not changed', () => {
  const yarrow = on('yarrow')
  const all = planRestring(benchOf(yarrow))!
  for (const { ids } of all.batches)
    ids.forEach((id, i) => {
      const { over } = piecesOf(yarrow).find((piece) => piece.id === id)!
      for (const other of over) expect(ids.indexOf(other)).toBeGreaterThan(i)
    })
  const covered = piecesOf(yarrow).find(({ over }) => over.length > 0)!
  const [go] = planRestring(benchOf(yarrow, [covered.id]))!.batches
  expect(go?.aside).toEqual(covered.over)
  // One foot is more than the share: no smaller go is possible, and its load is told.
  expect(Math.min(...all.batches.map(({ carried }) => carried.share))).toBeLessThan(ALLOWED.share)
})

test('the frame is told by moments: without a string, its load and its centre are those of the others', () => {
  const pieces = piecesOf(on('borage'))
  const frame = new Frame(pieces)
  const [first, ...others] = pieces as [Piece, ...Piece[]]
  const load = others.reduce((sum, { tension }) => sum + tension, 0)
  const centre = (some: readonly Piece[]) =>
    some.reduce((sum, { tension, at }) => sum + tension * at, 0) /
    some.reduce((sum, { tension }) => sum + tension, 0)
  const extent = pieces.at(-1)!.at - first.at
  const carried = frame.without(first.tension, first.tension * first.at)
  expect(carried.share).toBeCloseTo(load / frame.full, 12)
  expect(carried.shift).toBeCloseTo((centre(others) - centre(pieces)) / extent, 12)
  expect(frame.carried(new Map([[first.id, 'off']])).share).toBeCloseTo(carried.share, 12)
  expect(frame.carried(new Map([[first.id, 'off']])).shift).toBeCloseTo(carried.shift, 12)
  const half = frame.carried(new Map([[first.id, 'half']]))
  expect(half.share).toBeCloseTo((load + first.tension / 4) / frame.full, 12)
})

test('a string named twice, none at all, and one that is not there are refused in a sentence', () => {
  const pieces = piecesOf(on('borage'))
  const change = (numbers: readonly number[]) => () => piecesToChange(on('borage'), pieces, numbers)
  expect(change([3, 4, 3])).toThrow('String 3 is in the set twice.')
  expect(change([])).toThrow('Choose at least one string.')
  expect(change([99])).toThrow(/there is no string 99/)
})

test.each(shelf.map((instrument) => [instrument.name, instrument] as const))(
  '%s: every school changes every piece once, its load is that of its moments, and none is quicker than what is worked out',
  (_, instrument) => {
    const bench = benchOf(instrument)
    const batches = new Batches(bench)
    const yields = startingYields(instrument)
    const plan = planRestring(bench)!
    const own = plan.batches.map(({ ids }) => ids)
    const least = judged(instrument, batches, own, roundsAfter(instrument, batches, own, yields, 5))
    expect(Math.min(...plan.batches.map(({ carried }) => carried.share))).toBeCloseTo(least.leastShare, 9)
    for (const way of waysFor(batches)) {
      if (way === 'least time') continue
      const goes = goesBy(batches, way)
      expect(goes.flat().sort((a, b) => a - b)).toEqual(bench.changed.map(({ id }) => id))
      const school = judged(instrument, batches, goes, roundsAfter(instrument, batches, goes, yields, 5))
      expect(planOf(batches, goes).minutes).toBeGreaterThan(plan.minutes - 1e-9)
      if (way === 'one for one, alternating ends')
        expect(school.leastShare).toBeGreaterThanOrEqual(least.leastShare - 1e-9)
      const { moments } = school
      expect(moments.at(-1)?.carried.share).toBeCloseTo(1, 9)
      const after = standsAfter(moments, moments.length)
      for (const { id } of bench.changed) expect(after.get(id)).toBe('new')
    }
  },
)

test('a search that is stopped gives no plan', () => {
  expect(planRestring(benchOf(on('lovage')), () => false)).toBeNull()
})

test('from bare, rounds from the low notes leave less each time, and gut holds later than steel', () => {
  for (const slug of ['lovage', 'chervil', 'bistort'] as const) {
    const { rounds, playable, stable } = bringUp(on(slug), startingYields(on(slug)), 15, 3)
    rounds.slice(1).forEach(({ worst }, i) => expect(worst).toBeLessThan(rounds[i]!.worst))
    expect(rounds.at(-1)?.worst).toBeLessThanOrEqual(3)
    expect(stable).toBeGreaterThan(playable)
  }
  const stable = (slug: string) => bringUp(on(slug), startingYields(on(slug)), 15, 3).stable
  expect(stable('borage')).toBeGreaterThan(stable('bistort'))
})

test('a stop block is as high as the pin stands before winding: its thread times its wraps above where it ends', () => {
  for (const instrument of shelf) {
    const blocks = stopBlocks(instrument, DEFAULT_HABITS)
    // Pegs, geared tuners and tapers through a neck never meet a hammer.
    const driven = instrument.positions.filter(
      ({ head: { pin } }) => pin.setting === 'upright' && pin.turnedBy === 'key',
    )
    expect(blocks.flatMap(({ numbers }) => numbers)).toHaveLength(driven.length)
    for (const { threadPitch, block, wound } of blocks) {
      if (threadPitch === null) expect(block).toBe(wound)
      else expect((block - wound) / threadPitch).toBeCloseTo(DEFAULT_HABITS.wraps, 0)
    }
  }
})

describe('several pairs of hands', () => {
  const go = [3, 9, 16, 24, 33, 41, 47]
  const batches = new Batches(benchOf(on('lovage'), go))
  test('each has a part of the board, none more than one string more than another', () => {
    for (const count of [1, 2, 3, 4]) {
      const hands = handsFor(batches, go, count)
      const inPlace = [...go].sort((a, b) => batches.piece(a).at - batches.piece(b).at)
      const order = inPlace.map((id) => hands.get(id) as number)
      expect(order).toEqual([...order].sort((a, b) => a - b))
      const shares = sharesOf(batches, go, count)
      expect(shares.reduce((a, b) => a + b, 0)).toBe(go.length)
      expect(Math.max(...shares) - Math.min(...shares)).toBeLessThanOrEqual(1)
    }
  })
  test('what lies over one another has the same hands, and more hands than strings do no harm', () => {
    const feet = new Batches(benchOf(on('yarrow'), [1, 2, 3, 4, 5, 6, 7]))
    const hands = handsFor(feet, [7, 6, 5, 4, 3, 2, 1], 2)
    expect(new Set([4, 5, 6, 7].map((id) => hands.get(id))).size).toBe(1)
    expect(new Set([1, 2, 3].map((id) => hands.get(id))).size).toBe(1)
    expect(hands.get(1)).not.toBe(hands.get(7))
    expect(sharesOf(batches, [3], 4).reduce((a, b) => a + b, 0)).toBe(1)
  })
  test('the putting on is shared, the tuning is not', () => {
    const batch = batches.batch(go)
    expect(minutesOfGo(batch) - minutesOfGo(batch, [4, 3])).toBeCloseTo(3 * 15, 9)
  })
})

describe('on a scroll head', () => {
  /** Goes in which a string is set aside that an earlier go has just put on. */
  const loosened = (batches: Batches, goes: readonly (readonly number[])[]) =>
    goes.flatMap((ids, i) => batches.aside(ids).filter((id) => goes.slice(0, i).flat().includes(id)))
  const orris = on('orris')

  test('no new wire is loosened again, whatever the way and whatever the frame allows', () => {
    for (const share of [0.85, 0.7, 0.5, 0]) {
      const bench = { ...benchOf(orris), allowed: { share, shift: MOST_SHIFT } }
      const batches = new Batches(bench)
      const plan = planRestring(bench)
      expect(loosened(batches, plan?.batches.map(({ ids }) => ids) ?? [[0]])).toEqual([])
      for (const way of waysFor(batches))
        if (way !== 'least time') expect([way, loosened(batches, goesBy(batches, way))]).toEqual([way, []])
    }
    // By length alone it would be.
    const byLength = [[4], [3], [2], [1]]
    expect(loosened(new Batches(benchOf(orris)), byLength).length).toBeGreaterThan(0)
  })

  test('goes that cross each other both ways have no order', () => {
    const own = { ...benchOf(orris), allowed: { share: 0, shift: 1 } }
    const batches = new Batches(own)
    const [a, b] = own.changed.flatMap(({ id, crossing }) =>
      crossing.map((other) => [id, other] as const),
    ) as [readonly [number, number], readonly [number, number]]
    const apart = [
      [a[0], b[1]],
      [a[1], b[0]],
    ]
    expect(new Set(apart.flat()).size).toBe(4)
    expect(passedFirst(batches, apart)).toBeNull()
    expect(passedFirst(batches, [[a[1]], [a[0]]])).toEqual([[a[0]], [a[1]]])
  })
})

describe('from bare', () => {
  const all = (slug: string) => on(slug).positions.map(({ number }) => number)
  test('the lowest goes on first, what lies over a string after it, and the load only grows', () => {
    for (const slug of ['chervil', 'yarrow', 'orris']) {
      const batches = new Batches(benchOf(on(slug), all(slug)))
      const goes = goesFromBare(on(slug), batches, 120)
      expect(Math.max(...goes.map(({ length }) => length))).toBe(Math.min(5, on(slug).positions.length))
      const order = goes.flat()
      order.forEach((id, i) => {
        for (const later of order.slice(i + 1)) expect(batches.goesBefore(later, id)).toBe(false)
      })
      expect(problemOf(on(slug), batches, goes, () => 'string', true)).toBeNull()
      const plan = judged(on(slug), batches, goes, 2, true)
      const shares = plan.moments.map(({ carried }) => carried.share)
      expect(shares).toEqual([...shares].sort((a, b) => a - b))
      expect(shares[0]).toBe(0)
      expect(shares.at(-1)).toBeCloseTo(1, 9)
    }
    expect(goesFromBare(on('chervil'), new Batches(benchOf(on('chervil'), all('chervil'))), 120)[0]![0]).toBe(
      22,
    )
    expect(() => goesFromBare(on('borage'), new Batches(benchOf(on('borage'), all('borage'))), 0)).toThrow(
      /nothing is done in none/,
    )
  })
  test('with beads all wound strings hang before the harp goes to the floor, however many they are', () => {
    const goesOf = (notes: string, minutes: number) => {
      const harp = own('lap harp', notes)
      const bench = benchOf(
        harp,
        harp.positions.map(({ number }) => number),
      )
      const goes = goesFromBare(harp, new Batches(bench), minutes)
      expect(goes.flat()).toHaveLength(harp.positions.length)
      return goes.map((go) => go.map((id) => positionAt(harp, id).construction.kind))
    }
    const [wound, ...plain] = goesOf('A2 to C6', 30)
    expect(wound!.length).toBeGreaterThan(plain[0]!.length)
    expect(new Set(wound)).toEqual(new Set(['wound']))
    expect(new Set(plain.flat())).toEqual(new Set(['plain']))
    // None is wound: goes of one size, and no empty one.
    const sizes = goesOf('C5 to C6', 60).map(({ length }) => length)
    expect(new Set(sizes.slice(0, -1)).size).toBeLessThanOrEqual(1)
    expect(Math.min(...sizes)).toBeGreaterThan(0)
  })
  test('a foot’s layers stand as high as all gauges on it together', () => {
    const turns = footTurns(on('yarrow'), [4, 5, 6, 7])
    expect(turns.map(({ number }) => number)).toEqual([7, 6, 5, 4])
    expect(turns.at(-1)?.reach).toBeCloseTo(
      turns.reduce((sum, { gauge }) => sum + gauge, 0),
      12,
    )
  })
})

test('what rounds have taught of the board counts: a string that feels twice as much falls twice as far', () => {
  const learned = lostBetween(
    on('borage'),
    piecesOf(on('borage')),
    startingYields(on('borage')),
    on('borage').positions.map(({ number }) => (number === 5 ? 2 : 1)),
  )
  const reckoned = lostBetween(on('borage'), piecesOf(on('borage')), startingYields(on('borage')))
  expect(learned(5, 6)).toBeCloseTo(2 * reckoned(5, 6), 9)
  expect(learned(6, 5)).toBeCloseTo(reckoned(6, 5), 9)
})

describe('moved by hand', () => {
  const all = (slug: string) => on(slug).positions.map(({ number }) => number)
  test.each(['lovage', 'borage', 'yarrow', 'orris'])(
    'on %s every string stays in one go, and what lies over it goes along',
    (slug) => {
      const random = seeded(7)
      const batches = new Batches(benchOf(on(slug), all(slug)))
      const ids = batches.bench.changed.map(({ id }) => id)
      let goes: readonly (readonly number[])[] = unitsOf(batches).map((unit) => batches.inOrder(unit))
      for (let i = 0; i < 40; i += 1) {
        const id = ids[Math.floor(random() * ids.length)]!
        const to = Math.floor(random() * (goes.length + 1))
        const had = goes[to] ?? []
        goes = movedTo(batches, goes, id, to)
        expect(goes.flat().toSorted((a, b) => a - b)).toEqual(ids.toSorted((a, b) => a - b))
        const its = goes.find((go) => go.includes(id))!
        for (const other of batches.stack(id)) expect(its).toContain(other)
        // Whatever was in that go is still with it, and none is before what it lies over.
        for (const other of had) expect(its).toContain(other)
        for (const go of goes) expect(batches.inOrder(go)).toEqual(go)
      }
    },
  )
  test('a go changes places with its neighbour, and the first and last stay where there is none', () => {
    const goes = [[1], [2, 3], [4]]
    expect(goMoved(goes, 1, -1)).toEqual([[2, 3], [1], [4]])
    expect(goMoved(goes, 1, 1)).toEqual([[1], [4], [2, 3]])
    expect(goMoved(goes, 2, 1)).toBe(goes)
  })
})
