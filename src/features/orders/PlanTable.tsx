import { moneyText } from '@/core/stores/money'
import { supplierName } from '@/core/stores/order-way'
import { twistToFill } from '@/core/stores/string-spec'
import type { OrderPlan } from '@/core/stores/buying'
import type { BuyingBench } from '@/data/views/buying-bench'
import { dayText } from '@/ui/format/time'
import { useWorkshop } from '@/ui/units'

/** What to order from whom, and what it costs. */
export function PlanTable({
  title,
  plan,
  bench,
  isMain,
  onWrite,
}: {
  readonly title: string
  readonly plan: OrderPlan
  readonly bench: BuyingBench
  readonly isMain: boolean
  readonly onWrite: () => void
}) {
  const { timeZone } = useWorkshop()
  const offers = new Map(bench.offers.map((offer) => [offer.id, offer]))
  const stringOf = (id: number) => bench.needs.find((need) => need.id === id)?.string ?? ''
  const isTwisted = (offerId: number, needId: number) => {
    const wanted = bench.needs.find(({ id }) => id === needId)?.spec
    const contents = offers.get(offerId)?.contents ?? []
    return (
      wanted?.end === 'loop' &&
      contents.some(({ spec }) => spec.end === 'plain' && twistToFill(spec, wanted) !== null)
    )
  }
  return (
    <div className="mt-4 border-t border-ink pt-2">
      <div className="flex flex-wrap items-baseline justify-between gap-3">
        <h3 className="text-lg font-semibold">{title}</h3>
        <span className="plate-figure text-3xl leading-none">
          {moneyText(plan.totalMinor, bench.currency)}
        </span>
      </div>
      <p className="text-sm text-soft">
        {plan.gap === 0
          ? 'Proven the cheapest: no gap is left.'
          : `Its time was up: it is at most ${(plan.gap * 100).toFixed(1)} % dearer than the cheapest.`}
      </p>
      {plan.bySupplier.map((part) => {
        const supplier = bench.suppliers.find(({ id }) => id === part.supplierId)
        if (!supplier) return null
        return (
          <div key={part.supplierId} className="mt-3">
            <h4 className="font-semibold">
              {supplierName(supplier)}
              <span className="ml-2 text-sm font-normal text-soft">
                here {dayText(supplier.arrivesAt, timeZone)}
              </span>
            </h4>
            <ul className="ruled text-sm">
              {plan.lines
                .filter(({ offerId }) => offers.get(offerId)?.supplierId === supplier.id)
                .map(({ offerId, packs, fills }) => {
                  const offer = offers.get(offerId)
                  return (
                    <li key={offerId} className="grid grid-cols-[2.5rem_1fr_auto] gap-2 py-1.5">
                      <span className="font-semibold">{packs} ×</span>
                      <span>
                        {offer?.name}
                        <span className="block text-soft">
                          {offer?.part};{' '}
                          {fills
                            .map(
                              ({ needId, strings }) =>
                                `${strings > 1 ? `${strings} × ` : ''}${stringOf(needId)}`,
                            )
                            .join(', ')}
                          {fills.some(({ needId }) => isTwisted(offerId, needId)) &&
                            '. Plain wire: twist its loops yourself'}
                        </span>
                      </span>
                      <span className="whitespace-nowrap">
                        {moneyText((offer?.priceMinor ?? 0) * packs, supplier.currency)}
                      </span>
                    </li>
                  )
                })}
            </ul>
            <p className="text-right text-sm">
              goods {moneyText(part.goodsMinor, supplier.currency)}, postage{' '}
              {part.postageMinor === 0 ? 'free' : moneyText(part.postageMinor, supplier.currency)}
              {supplier.currency !== bench.currency &&
                `; ${moneyText(part.totalMinor, bench.currency)} in all`}
            </p>
          </div>
        )
      })}
      <button type="button" className={`button mt-3 ${isMain ? 'button-main' : ''}`} onClick={onWrite}>
        {plan.bySupplier.length === 1 ? 'Write this order' : 'Write these orders'}
      </button>
    </div>
  )
}
