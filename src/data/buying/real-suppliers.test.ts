/** Orders to suppliers that people answer for: nothing is sent, confirmed or delivered that nobody sent, confirmed or saw come. */
import { highsSolver } from '@/workers/solver'
import { sentenceOf } from '@/boundary/sentence-of'
import { planOrder } from '@/core/stores/order-plan'
import { eachOnDemo } from '../demo/each-on-demo'
import type { Store } from '../store/database'
import { actions } from '../store/schema/journal'
import { buyingBench } from '../views/buying-bench'
import { orderView } from '../views/orders-view'
import { markSent, markSentByHand, takeAnswer, takeDeskAnswer } from './answer-order'
import { handIn } from './desk'
import { openNeeds } from './need-list'
import { orderCsv } from './order-sheet'
import { outstanding } from './order-lines'
import { orderById, type Order } from './orders'
import { placeOrders } from './place-orders'
import { receive } from './receive'
import { addSuggestedNeeds } from './suggested-needs'
import { allSuppliers, catalogue, changeTerms } from './suppliers'

let store: Store
eachOnDemo((opened) => {
  store = opened
})

/** The longest order, to a supplier that is real. */
async function orderToPeople(): Promise<Order> {
  for (const { slug } of allSuppliers(store)) changeTerms(store, slug, { simulated: false })
  addSuggestedNeeds(store)
  const { needs, offers, suppliers } = buyingBench(store)
  const plan = await planOrder(needs, offers, suppliers, highsSolver())
  const supplierOf = new Map(offers.map(({ id, supplierId }) => [id, supplierId]))
  const ids = placeOrders(
    store,
    plan.bySupplier.map(({ supplierId }) => ({
      supplierId,
      lines: plan.lines
        .filter(({ offerId }) => supplierOf.get(offerId) === supplierId)
        .map(({ offerId, packs, fills }) => ({ itemId: offerId, packs, fills })),
    })),
  ).result
  return ids.map((id) => orderById(store, id)).sort((a, b) => b.lines.length - a.lines.length)[0]!
}
const last = () => store.rows.select().from(actions).all().at(-1)?.summary

test('the demo’s suppliers are simulated, and say so in the history', async () => {
  expect(allSuppliers(store).every(({ simulated }) => simulated)).toBe(true)
  const order = await orderToPeople()
  changeTerms(store, order.supplier.slug, { simulated: true })
  expect(sentenceOf(() => markSentByHand(store, order.id, 'mail'))).toMatch(/takes orders by itself/)
  markSent(store, order.id, 'simulator', handIn(store, order.supplier.slug, orderCsv(order), 1, 0))
  expect(last()).toBe(`Order ${order.id} sent to ${order.supplier.name} (simulated)`)
})

test('a real supplier has no simulator: nothing is handed in, and nothing is answered by itself', async () => {
  const order = await orderToPeople()
  expect(sentenceOf(() => handIn(store, order.supplier.slug, orderCsv(order), 1, 0))).toBe(
    `${order.supplier.name} is not simulated: no simulator takes its orders.`,
  )
  markSentByHand(store, order.id, 'telephone')
  expect(last()).toBe(`Order ${order.id} sent to ${order.supplier.name}, by telephone`)
  expect(orderById(store, order.id)).toMatchObject({ state: 'sent', sentBy: 'telephone', ticket: null })
  const { part, packs } = order.lines[0]!
  expect(
    sentenceOf(() => takeDeskAnswer(store, order.id, [{ part, packs, answer: 'confirmed', offered: null }])),
  ).toBe(`${order.supplier.name} is not simulated: enter what they answered.`)
  expect(orderById(store, order.id).lines.every(({ answer }) => answer === null)).toBe(true)
})

test('what they answered is kept line by line; the rest stays open, and what they have not got is planned anew', async () => {
  const order = await orderToPeople()
  const [first, second, third] = order.lines
  markSentByHand(store, order.id, 'mail')
  expect(sentenceOf(() => takeAnswer(store, order.id, []))).toBe('Enter an answer for at least one line.')
  const other = catalogue(store, order.supplier.id).find(({ part }) => part !== third!.part)!
  expect(
    sentenceOf(() =>
      takeAnswer(store, order.id, [{ lineId: third!.id, answer: 'substituted', offered: 'NO SUCH PART' }]),
    ),
  ).toMatch(/^What do they offer in place of/)
  const free = () => openNeeds(store).reduce((sum, { toOrder }) => sum + toOrder, 0)
  const before = free()
  takeAnswer(store, order.id, [
    { lineId: first!.id, answer: 'confirmed', offered: null },
    { lineId: second!.id, answer: 'refused', offered: null },
    { lineId: third!.id, answer: 'substituted', offered: other.part },
  ])
  const now = orderView(store, order.id)
  expect(now.state).toBe('acknowledged')
  expect(now.undecided).toBe(1)
  expect(now.lines.slice(0, 3).map((line) => [line.answer, outstanding(line)])).toEqual([
    ['confirmed', first!.packs],
    ['refused', 0],
    ['substituted', 0],
  ])
  expect(free()).toBeGreaterThan(before)
  expect(now.lines.filter(({ answer }) => answer === null).length).toBe(order.lines.length - 3 + 1)
  expect(
    sentenceOf(() => takeAnswer(store, order.id, [{ lineId: first!.id, answer: 'refused', offered: null }])),
  ).toMatch(/is answered already/)
})

test('what comes without a word is booked in', async () => {
  const order = await orderToPeople()
  expect(
    sentenceOf(() => receive(store, order.id, [{ lineId: order.lines[0]!.id, packs: 1 }], 'New arrivals')),
  ).toMatch(/is to send/)
  markSentByHand(store, order.id, 'shop')
  const all = order.lines.map(({ id, packs }) => ({ lineId: id, packs }))
  const { coilIds } = receive(store, order.id, all, 'New arrivals').result
  expect(coilIds.length).toBeGreaterThan(0)
  expect(orderById(store, order.id).state).toBe('closed')
})
