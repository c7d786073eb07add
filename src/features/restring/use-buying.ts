import { endpoints } from '@/boundary/endpoints'
import { send } from '@/ui/shell/send'
import { startOrderPlan } from '@/workers/plans'
import { useWorkedOut, type Running } from './use-worked-out'

/** What buying some strings comes to. */
export interface Buying {
  /** Postage and all, hundredths of the house's money. */
  readonly totalMinor: number
  /** Sets that are cheaper than their strings one by one. */
  readonly sets: readonly string[]
  readonly suppliers: readonly string[]
  /** Strings that nobody sells. */
  readonly unsold: number
}

/** Looked for no longer than this, s: it is told, not ordered by. */
const SECONDS = 10

/** The cheapest way to buy what is missing, sets among it; null until it is known, or where it can’t be. */
export function useBuying(slug: string, missing: readonly number[]): Buying | null {
  return useWorkedOut(slug, missing.join(), boughtFor)
}

async function boughtFor(slug: string, pieces: string, running: Running): Promise<Buying | null> {
  const asked = await send(endpoints.restringBuying(slug, pieces), {})
  if (!asked.ok || running.isOver()) return null
  const { needs, offers, suppliers } = asked.value
  const planning = startOrderPlan(needs, offers, suppliers, SECONDS, () => undefined)
  running.stopWith(planning.stop)
  const plans = await planning.answer.catch(() => null)
  if (!plans) return null
  const { lines, bySupplier, totalMinor, unmet } = plans.best
  const offered = new Map(offers.map((offer) => [offer.id, offer]))
  return {
    totalMinor,
    sets: lines.flatMap(({ offerId }) => {
      const offer = offered.get(offerId)
      return offer && offer.contents.length > 1 ? [offer.name] : []
    }),
    suppliers: bySupplier.map(({ supplierId }) => suppliers.find(({ id }) => id === supplierId)?.name ?? ''),
    unsold: unmet.reduce((sum, { quantity }) => sum + quantity, 0),
  }
}
