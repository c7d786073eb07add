/**
 * A buying plan's needs and offers with all that can't change the answer joined or left out, so that a workshop's long
 * list is solved as fast as a harpist's short one. The cheapest plan of what is left is a cheapest plan of the whole.
 */
import { grouped } from '../list/grouped'
import { requireValue } from '../list/require-value'
import type { BuyNeed, CatalogueOffer, Fill, OrderPlan, SupplierTerms } from './buying'
import { fillings, specKey } from './string-spec'

export interface ReducedBuying {
  /** Needs alike in string, length and date are one, under the first one's number. */
  readonly needs: readonly BuyNeed[]
  readonly offers: readonly CatalogueOffer[]
  /** The plan of what is left, told for each need that there was. */
  readonly spread: (plan: OrderPlan) => OrderPlan
}

export function reduceBuying(
  needs: readonly BuyNeed[],
  offers: readonly CatalogueOffer[],
  suppliers: readonly SupplierTerms[],
): ReducedBuying {
  const alike = grouped(needs, ({ spec, length, by }) => JSON.stringify([specKey(spec), length, by]))
  const joined = [...alike.values()].map((group): BuyNeed => {
    const [first] = group as [BuyNeed, ...BuyNeed[]]
    return { ...first, quantity: group.reduce((sum, { quantity }) => sum + quantity, 0) }
  })
  const members = new Map([...alike.values()].map((group) => [group[0]?.id ?? 0, group]))
  return {
    needs: joined,
    offers: worthAsking(offers, joined, suppliers),
    spread: (plan) => spread(plan, needs, members),
  }
}

/** Offers that hold something wanted, without those that another of the same supplier beats whatever else is bought. */
export function worthAsking<Offer extends CatalogueOffer>(
  offers: readonly Offer[],
  needs: readonly BuyNeed[],
  suppliers: readonly SupplierTerms[],
): readonly Offer[] {
  const terms = new Map(suppliers.map((supplier) => [supplier.id, supplier]))
  const wanted = new Map<string, number>()
  for (const { spec, quantity } of needs)
    wanted.set(specKey(spec), (wanted.get(specKey(spec)) ?? 0) + quantity)
  const wantedOf = (offer: CatalogueOffer) =>
    offer.contents.reduce(
      (sum, { spec }) => sum + fillings(spec).reduce((all, { key }) => all + (wanted.get(key) ?? 0), 0),
      0,
    )
  const useful = offers.filter(
    (offer) => offer.stock > 0 && terms.has(offer.supplierId) && wantedOf(offer) > 0,
  )
  // Sets are kept: what else is in them may be wanted too. Of packets of one string the best is enough.
  const [packets, sets] = [
    useful.filter((offer): offer is Offer & Packet => isPacket(offer)),
    useful.filter((offer) => !isPacket(offer)),
  ]
  const rivals = grouped(packets, ({ supplierId, contents }) => `${supplierId} ${specKey(contents[0].spec)}`)
  const standsIn = (one: Packet, other: Packet) =>
    one.stock >= wantedOf(one) && beats(one, other, requireValue(terms.get(one.supplierId)))
  const best = [...rivals.values()].flatMap((group) =>
    group.filter(
      (offer, i) =>
        // Of two that can stand in for each other, the first stays.
        !group.some((other, k) => k !== i && standsIn(other, offer) && (k < i || !standsIn(offer, other))),
    ),
  )
  const kept = new Set([...best, ...sets].map(({ id }) => id))
  return offers.filter(({ id }) => kept.has(id))
}

type Packet = CatalogueOffer & { readonly contents: readonly [CatalogueOffer['contents'][number]] }

function isPacket(offer: CatalogueOffer): offer is Packet {
  return offer.contents.length === 1
}

/**
 * Whether a pack of the one can always stand in for a pack of the other. A dearer pack can be worth its price where it
 * brings the goods to the sum that goes without postage, so it is only beaten by what it costs more than the postage.
 */
function beats(one: Packet, other: Packet, { freeOverMinor, postageMinor }: SupplierTerms): boolean {
  const [{ length, pieces }] = one.contents
  const saved = other.priceMinor - one.priceMinor
  return (
    length >= other.contents[0].length &&
    pieces >= other.contents[0].pieces &&
    saved >= 0 &&
    (freeOverMinor === null || saved === 0 || saved >= postageMinor)
  )
}

/** What was bought for needs that are one, shared out among them in their order. */
function spread(
  plan: OrderPlan,
  needs: readonly BuyNeed[],
  members: ReadonlyMap<number, readonly BuyNeed[]>,
): OrderPlan {
  const left = new Map(needs.map(({ id, quantity }) => [id, quantity]))
  const shared = ({ needId, strings }: Fill): readonly Fill[] => {
    let rest = strings
    return (members.get(needId) ?? []).flatMap(({ id }): Fill[] => {
      const given = Math.min(rest, left.get(id) ?? 0)
      rest -= given
      left.set(id, (left.get(id) ?? 0) - given)
      return given > 0 ? [{ needId: id, strings: given }] : []
    })
  }
  return {
    ...plan,
    lines: plan.lines.map((line) => ({ ...line, fills: line.fills.flatMap(shared) })),
    unmet: plan.unmet.flatMap(({ needId }) =>
      (members.get(needId) ?? []).flatMap(({ id }) => {
        const quantity = left.get(id) ?? 0
        return quantity > 0 ? [{ needId: id, quantity }] : []
      }),
    ),
  }
}
