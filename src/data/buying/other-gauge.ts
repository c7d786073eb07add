/**
 * A need changed to a neighbouring gauge that somebody sells.
 */
import { eq } from 'drizzle-orm'
import { Refusal, found } from '@/boundary/refusal'
import { fittingFigures } from '@/core/fitting/figures'
import { nearGauges } from '@/core/stores/near-gauges'
import { outerGauge } from '@/core/strings/construction'
import { gaugeText } from '@/core/units/length'
import { gaugeUnitOf, workshopSettings } from '../workshop/settings'
import { byPositionId } from '../instruments/instruments'
import { stringOf } from '../jobs/string-of'
import { constructionColumns } from '../store/construction-columns'
import type { Done, Store } from '../store/database'
import { inMm } from '../store/millimetres'
import { needs } from '../store/schema'
import { openNeeds } from './need-list'
import { allSuppliers, catalogue, offersOf } from './suppliers'

/**
 * Asks for a neighbouring gauge in place of the one that nobody sells. Length and colour follow it; the chart stays.
 *
 * @throws Refusal 404 when the need is off the list, 409 when it is on order or the part is no near neighbour of it
 */
export function takeOtherGauge(store: Store, id: number, itemId: number): Done<void> {
  const need = found(
    openNeeds(store).find((one) => one.id === id),
    `There is no need ${id} on the list.`,
  )
  if (need.onOrder > 0) throw new Refusal(409, `The ${need.string} is on order already.`)
  const selling = new Set(
    allSuppliers(store).flatMap(({ id: of, retiredAt }) => (retiredAt === null ? [of] : [])),
  )
  const items = catalogue(store)
  const stored = byPositionId(store, need.positionId)
  const { instrument, position, habits } = stored
  const near = nearGauges(
    instrument,
    position,
    need.spec,
    need.length,
    offersOf(items).filter((one) => selling.has(one.supplierId)),
  )
  const item = items.find((one) => one.id === itemId)
  if (!item || !near.some(({ offerId }) => offerId === itemId))
    throw new Refusal(409, 'That part is no longer the nearest gauge on sale. Plan again.', 'itemId')
  const { construction, colour } = item
  const text = gaugeText(outerGauge(construction), gaugeUnitOf(workshopSettings(store)))
  return store.act(
    {
      kind: 'need',
      summary: `${stringOf(stored, position)}: ${text} to be bought in its place`,
      instrumentId: stored.id,
    },
    () => {
      store.rows
        .update(needs)
        .set({
          ...constructionColumns(construction),
          colour,
          lengthMm: Math.ceil(inMm(fittingFigures(instrument, position, habits, construction).cut.total)),
        })
        .where(eq(needs.id, id))
        .run()
    },
  )
}
