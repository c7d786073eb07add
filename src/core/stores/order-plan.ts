/**
 * The cheapest way to buy what is needed, in time: over several suppliers, with packs that yield two or three strings,
 * sets, stock, postage and free postage. Exact; and beside it the best that one supplier alone can do.
 */
import { requireValue } from '../list/require-value'
import { MipBuilder, solved, type SolveMip } from '../solve/mip'
import {
  type BuyNeed,
  type SupplierTerms,
  type CatalogueOffer,
  type OrderPlan,
  type Fill,
  type SupplierPart,
  postageOf,
} from './buying'
import { cutPatterns, hasFewPatterns, piecesEnough, type CutPattern, type Wanted } from './cut-patterns'
import { KERF } from './cut-plan'
import { reduceBuying } from './reduce-buying'
import { fillings, specKey, twistToFill } from './string-spec'

/** A way to cut pieces of an offer, with the column that says how often. */
interface CutWay {
  readonly pattern: CutPattern
  readonly column: number
}

/** Weighs more than any string can cost, so that a string is left out only when nobody can send it. */
const UNMET = 1e7

/** Breaks ties toward fewer packs. */
const PACK = 0.01
/** Of what costs the same, the string that has its loop comes before the one whose loop must be twisted. */
const TWIST = 0.001

/**
 * @param needs - what is needed; strings of one kind and length may be needed more than once
 * @param offers - of all suppliers
 * @param suppliers - their terms
 * @param solve - a solver
 */
export async function planOrder(
  needs: readonly BuyNeed[],
  offers: readonly CatalogueOffer[],
  suppliers: readonly SupplierTerms[],
  solve: SolveMip,
): Promise<OrderPlan> {
  const reduced = reduceBuying(needs, offers, suppliers)
  return reduced.spread(await planUnreduced(reduced.needs, reduced.offers, suppliers, solve))
}

/** The plan with every need and offer a row or column of its own. */
export async function planUnreduced(
  needs: readonly BuyNeed[],
  offers: readonly CatalogueOffer[],
  suppliers: readonly SupplierTerms[],
  solve: SolveMip,
): Promise<OrderPlan> {
  const mip = new MipBuilder()
  const terms = new Map(suppliers.map((supplier) => [supplier.id, supplier]))
  const byKey = new Map<string, BuyNeed[]>()
  for (const need of needs) byKey.set(specKey(need.spec), [...(byKey.get(specKey(need.spec)) ?? []), need])
  const filled = new Map<number, [column: number, strings: number][]>(needs.map(({ id }) => [id, []]))

  const quantities = new Map(needs.map(({ id, quantity }) => [id, quantity]))
  const wantedOf = (ids: readonly number[]) =>
    [...new Set(ids)].reduce((sum, id) => sum + (quantities.get(id) ?? 0), 0)

  // 1. Packs of each offer that holds anything needed, and the ways to cut what is in them.
  const packs = offers.flatMap((offer) => {
    const supplier = terms.get(offer.supplierId)
    if (!supplier || offer.stock === 0) return []
    const useful = offer.contents
      .map((content) => ({
        content,
        wanted: fillings(content.spec).flatMap(({ key, twist }) =>
          (byKey.get(key) ?? [])
            .filter(({ by }) => by === null || by >= supplier.arrivesAt)
            .map(({ id, length, quantity }): Cut => ({ id, quantity, length: length + twist, twist })),
        ),
      }))
      .filter(({ content, wanted }) => wanted.some(({ length }) => length + KERF <= content.length + 1e-9))
    if (useful.length === 0) return []
    // No more packs than there are strings they could fill: the tighter the bound, the sooner the proof.
    const most = Math.min(offer.stock, wantedOf(useful.flatMap(({ wanted }) => wanted.map(({ id }) => id))))
    const column = mip.whole(offer.priceMinor * supplier.rate + PACK, most)
    const ways: CutWay[] = []
    for (const { content, wanted } of useful) {
      const { length, pieces, spec } = content
      const cut =
        spec.end !== 'plain' || hasFewPatterns(wanted, length, KERF)
          ? byPattern(mip, column, content, wanted, most * pieces)
          : byLength(mip, column, content, wanted, most * pieces)
      ways.push(...cut)
      for (const way of cut)
        for (const [id, strings] of way.pattern) filled.get(id)?.push([way.column, strings])
    }
    return [{ offer, column, most, ways }]
  })
  // 2. Every need is filled, or known to be left out.
  const missing = needs.map((need) => ({ need, column: mip.whole(UNMET, need.quantity) }))
  for (const { need, column } of missing)
    mip.atLeast(need.quantity, [...(filled.get(need.id) ?? []), [column, 1]])
  // 3. Postage for each supplier that sends anything, unless the goods are worth its limit.
  const posts = suppliers.flatMap((supplier) => {
    const from = packs.filter(({ offer }) => offer.supplierId === supplier.id)
    if (from.length === 0) return []
    const sends = mip.whole(supplier.postageMinor * supplier.rate, 1)
    for (const { column, most } of from)
      mip.atMost(0, [
        [column, 1],
        [sends, -most],
      ])
    if (supplier.freeOverMinor !== null) {
      const free = mip.whole(-supplier.postageMinor * supplier.rate, 1)
      mip.atMost(0, [
        [free, 1],
        [sends, -1],
      ])
      mip.atLeast(0, [
        ...from.map(({ offer, column }) => [column, offer.priceMinor] as const),
        [free, -supplier.freeOverMinor],
      ])
    }
    return [{ supplier, from }]
  })
  // 4. The answer; money is reckoned anew in whole minor units.
  const answer = solved(await solve(mip))
  const value = (column: number) => Math.round(answer.values[column] ?? 0)
  const bySupplier = posts.flatMap(({ supplier, from }): SupplierPart[] => {
    const goodsMinor = from.reduce((sum, { offer, column }) => sum + offer.priceMinor * value(column), 0)
    if (from.every(({ column }) => value(column) === 0)) return []
    const postageMinor = postageOf(supplier, goodsMinor)
    return [
      {
        supplierId: supplier.id,
        goodsMinor,
        postageMinor,
        totalMinor: Math.round((goodsMinor + postageMinor) * supplier.rate),
      },
    ]
  })
  // A need is met by the lines that are cut for it, and by no more of them than it asks for.
  const left = new Map(quantities)
  const fillsOf = (ways: readonly CutWay[]): readonly Fill[] => {
    const cut = new Map<number, number>()
    for (const { pattern, column } of ways)
      for (const [id, strings] of pattern) cut.set(id, (cut.get(id) ?? 0) + strings * value(column))
    return [...cut].flatMap(([needId, made]): Fill[] => {
      const strings = Math.min(made, left.get(needId) ?? 0)
      left.set(needId, (left.get(needId) ?? 0) - strings)
      return strings > 0 ? [{ needId, strings }] : []
    })
  }
  return {
    lines: packs
      .filter(({ column }) => value(column) > 0)
      .map(({ offer, column, ways }) => ({ offerId: offer.id, packs: value(column), fills: fillsOf(ways) })),
    bySupplier,
    totalMinor: bySupplier.reduce((sum, part) => sum + part.totalMinor, 0),
    unmet: missing
      .filter(({ column }) => value(column) > 0)
      .map(({ need, column }) => ({ needId: need.id, quantity: value(column) })),
    gap: answer.gap,
  }
}

/** A need as a piece of one offer can fill it: the loop that may have to be twisted is in its length. */
interface Cut extends Wanted {
  readonly twist: number
}
type PieceOf = CatalogueOffer['contents'][number]

/** Each way to cut a piece is a column: it says how many pieces are cut so. */
function byPattern(
  mip: MipBuilder,
  packs: number,
  { length, pieces, spec }: PieceOf,
  wanted: readonly Cut[],
  most: number,
): readonly CutWay[] {
  const twisted = new Set(wanted.filter(({ twist }) => twist > 0).map(({ id }) => id))
  const ways = cutPatterns(wanted, length, KERF, spec.end).map((pattern) => {
    const loops = [...pattern].reduce((sum, [id, strings]) => sum + (twisted.has(id) ? strings : 0), 0)
    return { pattern, column: mip.whole(TWIST * loops, most) }
  })
  mip.atMost(0, [...ways.map(({ column }) => [column, 1] as const), [packs, -pieces] as const])
  return ways
}

/**
 * Each piece has its length, and a column for each string that may be cut from it: a reel has too many ways to be cut to
 * list them. The pieces are alike, so they are used in their order.
 */
function byLength(
  mip: MipBuilder,
  packs: number,
  { length, pieces }: PieceOf,
  wanted: readonly Cut[],
  most: number,
): readonly CutWay[] {
  const fitting = wanted.filter((one) => one.length + KERF <= length + 1e-9)
  const used: number[] = []
  const ways: CutWay[] = []
  for (let piece = 0; piece < Math.min(most, piecesEnough(fitting, length, KERF)); piece += 1) {
    const use = mip.whole(0, 1)
    const before = used.at(-1)
    if (before !== undefined)
      mip.atMost(0, [
        [use, 1],
        [before, -1],
      ])
    used.push(use)
    const cut = fitting.map((one) => ({
      one,
      column: mip.whole(
        one.twist > 0 ? TWIST : 0,
        Math.min(one.quantity, Math.floor((length + 1e-9) / (one.length + KERF))),
      ),
    }))
    mip.atMost(0, [
      ...cut.map(({ one, column }) => [column, one.length + KERF] as const),
      [use, -length] as const,
    ])
    ways.push(...cut.map(({ one, column }) => ({ pattern: new Map([[one.id, 1]]), column })))
  }
  mip.atMost(0, [...used.map((use) => [use, 1] as const), [packs, -pieces] as const])
  return ways
}

/**
 * The best plan that buys from one supplier only: the one that leaves the least out, and of those the cheapest.
 *
 * @returns null when there is no supplier
 */
export async function planWithOne(
  needs: readonly BuyNeed[],
  offers: readonly CatalogueOffer[],
  suppliers: readonly SupplierTerms[],
  solve: SolveMip,
): Promise<OrderPlan | null> {
  let best: OrderPlan | null = null
  for (const supplier of suppliers) {
    const plan = await planOrder(
      needs,
      offers.filter(({ supplierId }) => supplierId === supplier.id),
      [supplier],
      solve,
    )
    const left = (of: OrderPlan) => of.unmet.reduce((sum, { quantity }) => sum + quantity, 0)
    if (!best || left(plan) < left(best) || (left(plan) === left(best) && plan.totalMinor < best.totalMinor))
      best = plan
  }
  return best
}

/** Why a string can't be had in time. */
export interface Unmet {
  readonly needId: number
  readonly quantity: number
  readonly why: 'nobody sells it' | 'too late' | 'too few in stock'
  /** The soonest that it could come, whatever the date; null when nobody sells it. */
  readonly soonest: number | null
}

/** What a plan leaves out, each with the reason and the soonest that it could come. */
export function unmetBecause(
  { unmet }: OrderPlan,
  needs: readonly BuyNeed[],
  offers: readonly CatalogueOffer[],
  suppliers: readonly SupplierTerms[],
): readonly Unmet[] {
  const arrives = new Map(suppliers.map(({ id, arrivesAt }) => [id, arrivesAt]))
  return unmet.map(({ needId, quantity }): Unmet => {
    const need = requireValue(needs.find(({ id }) => id === needId))
    const serving = offers.filter(
      ({ stock, contents }) =>
        stock > 0 &&
        contents.some(({ spec, length }) => {
          const twist = twistToFill(spec, need.spec)
          return twist !== null && length >= need.length + twist + KERF
        }),
    )
    const times = serving.map(({ supplierId }) => arrives.get(supplierId) ?? Infinity).sort((a, b) => a - b)
    const inTime = times.some((at) => need.by === null || at <= need.by)
    return {
      needId,
      quantity,
      why: times.length === 0 ? 'nobody sells it' : inTime ? 'too few in stock' : 'too late',
      soonest: inTime ? (times.find((at) => need.by !== null && at > need.by) ?? null) : (times[0] ?? null),
    }
  })
}
