'use client'

import { useRouter } from 'next/navigation'
import { useEffect, useRef, useState, type ReactNode } from 'react'
import { endpoints } from '@/boundary/endpoints'
import { callsByHand } from '@/boundary/endpoints-by-hand'
import { pages } from '@/boundary/paths'
import { counted } from '@/core/list/counted'
import { requireValue } from '@/core/list/require-value'
import { moneyText } from '@/core/stores/money'
import type { OrderPlan } from '@/core/stores/buying'
import type { Unmet } from '@/core/stores/order-plan'
import { HOUR } from '@/core/units/time'
import type { BuyingBench } from '@/data/views/buying-bench'
import { dayText } from '@/ui/format/time'
import { useAct } from '@/ui/shell/use-act'
import { useWorkshop } from '@/ui/units'
import { NearestGauges } from './NearestGauges'
import { PlanTable } from './PlanTable'
import { getReady, startOrderPlan, type Planning } from '@/workers/plans'
import type { OrderPlans } from '@/workers/plans.worker'

const ANY_TIME = 'whenever it comes'

/** How long a plan may be looked for, s. */
const LIMITS = { '10 seconds': 10, 'a minute': 60, 'ten minutes': 600 } as const
type Limit = keyof typeof LIMITS

/** The cheapest way to buy what is on the list in time, and what buying from one supplier would cost. */
export function BuyingPlan({ bench }: { readonly bench: BuyingBench }) {
  const { timeZone } = useWorkshop()
  const router = useRouter()
  const { act, refused, refuse } = useAct()
  const [date, setDate] = useState(bench.dates.at(-1)?.name ?? ANY_TIME)
  const [limit, setLimit] = useState<Limit>('a minute')
  const [doing, setDoing] = useState<{ readonly what: string; readonly gap: number | null } | null>(null)
  const [plans, setPlans] = useState<{ readonly of: string; readonly made: OrderPlans } | null>(null)
  const running = useRef<Planning<OrderPlans> | null>(null)
  useEffect(() => () => running.current?.stop(), [])
  const isAnythingWanted = bench.needs.length > 0
  useEffect(() => {
    if (isAnythingWanted && !doing) getReady()
  }, [isAnythingWanted, doing])
  // A plan is of the list and the terms it was made from: when they change, it is gone.
  const basis = basisOf(bench)
  const made = plans?.of === basis ? plans.made : null

  const start = async () => {
    refuse(null)
    setPlans(null)
    const at = bench.dates.find(({ name }) => name === date)?.at ?? null
    const needs = bench.needs.map((need) => ({
      ...need,
      by: at === null ? null : at - need.settlesHours * HOUR,
    }))
    setDoing({ what: 'the catalogues', gap: null })
    running.current = startOrderPlan(needs, bench.offers, bench.suppliers, LIMITS[limit], (what, gap) =>
      setDoing((had) => had && { what, gap }),
    )
    try {
      setPlans({ of: basis, made: await running.current.answer })
    } catch {
      refuse({ sentence: 'The plan could not be reckoned on this device.', field: null })
    }
    setDoing(null)
  }
  const stop = () => {
    running.current?.stop()
    setDoing(null)
  }
  const write = async (plan: OrderPlan) => {
    const supplierOf = new Map(bench.offers.map(({ id, supplierId }) => [id, supplierId]))
    const orders = plan.bySupplier.map(({ supplierId }) => ({
      supplierId,
      lines: plan.lines
        .filter(({ offerId }) => supplierOf.get(offerId) === supplierId)
        .map(({ offerId, packs, fills }) => ({ itemId: offerId, packs, fills })),
    }))
    const written = await act(
      endpoints.placeOrders,
      { orders },
      orders.length === 1
        ? 'The order is written.'
        : `${orders.length} orders are written, one for each supplier.`,
    )
    const [only, another] = written?.result ?? []
    if (only !== undefined && another === undefined) router.push(pages.order(only))
  }

  return (
    <section className="sheet p-4 md:p-5" aria-labelledby="plan">
      <h2 id="plan" className="text-xl font-semibold">
        The cheapest way to buy it
      </h2>
      <p className="text-sm text-soft">
        {bench.needs.length === 0
          ? 'Nothing on the list waits to be bought.'
          : `${counted(bench.needs.length, 'entry', 'entries')} of the list, ${counted(bench.parts, 'part')} of ${counted(bench.suppliers.length, 'supplier')}.`}
      </p>
      <div className="mt-3 flex flex-wrap items-end gap-3">
        <label className="block text-sm">
          It must be ready for
          <select className="entry mt-1" value={date} onChange={(event) => setDate(event.target.value)}>
            <option>{ANY_TIME}</option>
            {bench.dates.map(({ name }) => (
              <option key={name}>{name}</option>
            ))}
          </select>
        </label>
        <label className="block text-sm">
          Look for it at most
          <select
            className="entry mt-1"
            value={limit}
            onChange={(event) => setLimit(event.target.value as Limit)}
          >
            {Object.keys(LIMITS).map((one) => (
              <option key={one}>{one}</option>
            ))}
          </select>
        </label>
        {doing ? (
          <button type="button" className="button" onClick={stop}>
            Stop
          </button>
        ) : (
          <button
            type="button"
            className={`button ${made ? '' : 'button-main'}`}
            disabled={bench.needs.length === 0}
            onClick={start}
          >
            {made ? 'Plan again' : 'Plan the buying'}
          </button>
        )}
        {doing && (
          <p className="text-sm text-soft" role="status">
            Reckoning {doing.what}
            {doing.gap === null ? '…' : `: proven to within ${(doing.gap * 100).toFixed(1)} %`}
          </p>
        )}
      </div>
      {date !== ANY_TIME && (
        <p className="mt-1 text-sm text-soft">
          A day to fit it and its settling are taken off: gut must come a little over a day before, nylon two.
        </p>
      )}
      {refused && (
        <p role="alert" className="mt-3 font-semibold text-ochre">
          {refused.sentence}
        </p>
      )}
      {plans && !made && (
        <p role="status" className="mt-3 font-semibold text-ochre">
          The list or the terms have changed since the plan was made; plan again.
        </p>
      )}
      {made && (
        <div aria-live="polite">
          {made.unmet.map((one) => {
            const need = bench.needs.find(({ id }) => id === one.needId)
            return (
              <UnmetSentence
                key={one.needId}
                unmet={one}
                string={need?.string ?? ''}
                text={(at) => dayText(at, timeZone)}
              >
                {one.why === 'nobody sells it' && (
                  <NearestGauges
                    string={need?.string ?? ''}
                    near={need?.nearest ?? []}
                    onTake={(near) =>
                      act(
                        callsByHand.takeOtherGauge(one.needId),
                        { itemId: near.offerId },
                        `${near.name} is on the need list instead.`,
                      )
                    }
                  />
                )}
              </UnmetSentence>
            )
          })}
          {made.best.lines.length > 0 && (
            <PlanTable
              title={
                made.best.bySupplier.length === 1
                  ? 'From one supplier'
                  : `From ${made.best.bySupplier.length} suppliers`
              }
              plan={made.best}
              bench={bench}
              isMain
              onWrite={() => write(made.best)}
            />
          )}
          {made.one && made.best.bySupplier.length > 1 && (
            <>
              <p className="mt-4 text-sm">{differenceSentence(made.best, made.one, bench.currency)}</p>
              {made.one.lines.length > 0 && (
                <PlanTable
                  title={`All from ${bench.suppliers.find(({ id }) => id === made.one?.bySupplier[0]?.supplierId)?.name ?? 'one supplier'}`}
                  plan={made.one}
                  bench={bench}
                  isMain={false}
                  onWrite={() => write(requireValue(made.one))}
                />
              )}
            </>
          )}
        </div>
      )}
    </section>
  )
}

/** Everything that a plan rests on, as one text. */
function basisOf({ needs, suppliers, offers }: BuyingBench): string {
  return JSON.stringify([
    needs.map(({ id, quantity }) => [id, quantity]),
    suppliers.map(({ rate, postageMinor, freeOverMinor, leadDays }) => [
      rate,
      postageMinor,
      freeOverMinor,
      leadDays,
    ]),
    offers.map(({ id }) => id),
  ])
}

function differenceSentence(best: OrderPlan, one: OrderPlan, currency: string): string {
  const missing =
    one.unmet.reduce((sum, { quantity }) => sum + quantity, 0) -
    best.unmet.reduce((sum, { quantity }) => sum + quantity, 0)
  if (missing > 0)
    return `One supplier alone would leave ${missing === 1 ? 'one string' : `${missing} strings`} out; that is what the split buys.`
  return `One supplier alone would cost ${moneyText(one.totalMinor - best.totalMinor, currency)} more, and save a second parcel.`
}

function UnmetSentence({
  unmet,
  string,
  text,
  children,
}: {
  readonly unmet: Unmet
  readonly string: string
  readonly text: (at: number) => string
  readonly children: ReactNode
}) {
  const why = {
    'nobody sells it': 'no supplier has it in a catalogue',
    'too late': 'nobody can send it in time',
    'too few in stock': 'too few are in stock',
  }[unmet.why]
  return (
    <div className="mt-3 border-l-4 border-ochre bg-ochre-wash px-3 py-2 text-sm">
      <p>
        <strong>{string}:</strong> {why}
        {unmet.soonest === null ? '.' : `; the soonest is ${text(unmet.soonest)}.`}
      </p>
      {children}
    </div>
  )
}
