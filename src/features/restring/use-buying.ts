import { useEffect, useState } from 'react'
import { calls } from '@/boundary/calls'
import { send } from '@/ui/shell/send'
import { startOrderPlan, type Planning } from '@/workers/plans'
import type { OrderPlans } from '@/workers/plans.worker'

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
  const [got, setGot] = useState<{ readonly of: string; readonly buying: Buying | null } | null>(null)
  const key = missing.join()
  useEffect(() => {
    if (key === '') return
    let isOver = false
    let running: Planning<OrderPlans> | null = null
    const plan = async (): Promise<Buying | null> => {
      const asked = await send(calls.restringBuying(slug, key), {})
      if (!asked.ok || isOver) return null
      const { needs, offers, suppliers } = asked.value
      running = startOrderPlan(needs, offers, suppliers, SECONDS, () => undefined)
      const { best } = await running.answer
      const sets = new Set(offers.filter(({ contents }) => contents.length > 1).map(({ id }) => id))
      return {
        totalMinor: best.totalMinor,
        sets: best.lines.flatMap(({ offerId }) =>
          sets.has(offerId) ? [offers.find(({ id }) => id === offerId)?.name ?? ''] : [],
        ),
        suppliers: best.bySupplier.map(
          ({ supplierId }) => suppliers.find(({ id }) => id === supplierId)?.name ?? '',
        ),
        unsold: best.unmet.reduce((sum, { quantity }) => sum + quantity, 0),
      }
    }
    void plan()
      .catch(() => null)
      .then((buying) => {
        if (!isOver) setGot({ of: key, buying })
      })
    return () => {
      isOver = true
      running?.stop()
    }
  }, [slug, key])
  return got?.of === key ? got.buying : null
}
