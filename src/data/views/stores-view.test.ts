/** What the stores' and the orders' sheets show, over the whole demo. */
import { KERF } from '@/core/stores/cut-plan'
import { soldByClass } from '@/core/instrument/instrument'
import { fillings, specKey } from '@/core/stores/string-spec'
import { DAY } from '@/core/units/time'
import { buyingBench } from './buying-bench'
import { openCoils, type Coil } from '../stores/coils'
import { cuttingBench, takeCuttingPlan } from '../stores/cutting'
import { freeCoils, setAside } from '../stores/set-aside'
import type { Store } from '../store/database'
import { eachOnDemo } from '../demo/each-on-demo'
import { instrumentBySlug } from '../instruments/instruments'
import { logBreak } from '../jobs/log-break'
import { addNeeds, openNeeds } from '../buying/need-list'
import { suggestedNeeds } from '../buying/suggested-needs'
import { placeOrders } from '../buying/place-orders'
import { answersIn, orderView } from './orders-view'
import { positionsBySpec, servedWords } from '../stores/served'
import { coilsPage, coilView, packetLabels } from './stores-view'
import { todayView } from './today'

let store: Store
eachOnDemo((opened) => {
  store = opened
})

/** Every coil, page by page. */
function coilRows() {
  const asked = { look: '', material: null, openedOnly: false, by: 'label', down: false } as const
  const { pages } = coilsPage(store, { ...asked, page: 0 }).at
  return Array.from({ length: pages }, (_, page) => coilsPage(store, { ...asked, page })).flatMap(
    ({ rows }) => rows,
  )
}

test('every coil says which positions it is exactly right for, and one of another make says so', () => {
  const rows = coilRows()
  const served = positionsBySpec(store)
  for (const row of rows) {
    const here = served(row)
    expect(row.serves).toBe(servedWords(here))
    for (const { instrument, position } of here)
      expect([soldByClass(instrument) ?? row.tensionClass, position.colour]).toEqual([
        row.tensionClass,
        row.colour,
      ])
  }
  const other = rows.filter(({ otherMake }) => otherMake !== null)
  expect(
    other.some(
      ({ otherMake }) =>
        otherMake === 'The chart asks for Fold & Fell Dark bass; this is Fold & Fell Amber twist.',
    ),
  ).toBe(true)
  for (const { maker, line, otherMake, serves } of other) {
    expect(otherMake).toContain(`this is ${maker} ${line}.`)
    expect(serves).toMatch(/^Lovage/)
  }
})

test('what a plan sets aside is drawn on the coil, told on its sheet, and no more is taken than it has', () => {
  logBreak(store, instrumentBySlug(store, 'lovage'), 22, 'mid-length')
  logBreak(store, instrumentBySlug(store, 'lovage'), 19, 'mid-length')
  const bench = cuttingBench(store)
  const job = bench.jobs.find(({ string }) => string === '3rd-octave G of Lovage')!
  const [option] = job.options.filter(
    ({ coilId, length }) => bench.coils.find(({ id }) => id === coilId)!.left >= length + KERF,
  )
  takeCuttingPlan(store, [{ jobId: job.id, coilId: option!.coilId }])
  expect(setAside(store).get(option!.coilId)).toEqual([
    expect.objectContaining({ jobId: job.id, length: expect.closeTo(option!.length, 6) }),
  ])
  expect(freeCoils(store).find(({ id }) => id === option!.coilId)!.lengthLeft).toBeCloseTo(
    bench.coils.find(({ id }) => id === option!.coilId)!.left - option!.length,
    6,
  )
  expect(coilRows().find(({ id }) => id === option!.coilId)!.setAside).toBeCloseTo(option!.length, 6)
  expect(coilView(store, option!.coilId).jobs).toEqual([
    {
      jobId: job.id,
      string: '3rd-octave G of Lovage',
      length: expect.closeTo(option!.length, 6),
      takesEnd: false,
    },
  ])
  const short = bench.coils.find(
    (coil) => coil.left < 2 * option!.length && job.options.some(({ coilId }) => coilId === coil.id),
  )
  if (short)
    expect(() =>
      takeCuttingPlan(store, [
        { jobId: job.id, coilId: short.id },
        { jobId: job.id, coilId: short.id },
      ]),
    ).toThrow('plan again')
  expect(() => coilView(store, 12345)).toThrow('no coil 12345')
})

test('every label leads to a position it serves, or to the coil', () => {
  for (const { id, path: leads, serves } of packetLabels(store, { ids: null, look: '', page: 0 }).labels) {
    if (serves === '') expect(leads).toBe(`/stores/coils/${id}`)
    else expect(leads).toMatch(/^\/instruments\/[a-z]+\?string=\d+$/)
  }
  const [one, other] = openCoils(store) as readonly [Coil, Coil]
  expect(
    packetLabels(store, { ids: [one.id, other.id], look: '', page: 0 }).labels.map(({ id }) => id),
  ).toEqual([other.id, one.id])
})

test('what must be ready for a date must come sooner by its settling: nylon sooner than gut, gut than wire', () => {
  addNeeds(store, suggestedNeeds(store))
  const { needs, dates, suppliers, offers } = buyingBench(store)
  const hours = (material: string) =>
    needs.find(
      ({ spec: { construction: c } }) => (c.kind === 'plain' ? c.material : c.core.material) === material,
    )!.settlesHours
  expect(hours('nylon 6.12')).toBeGreaterThan(hours('gut'))
  expect(hours('gut')).toBeGreaterThan(hours('steel'))
  expect(dates.map(({ name }) => name)).toEqual(['Lantern walk', 'Midwinter concert'])
  expect(
    suppliers.map(({ arrivesAt, leadDays }) => Math.round((arrivesAt - store.now()) / DAY) - leadDays),
  ).toEqual([0, 0, 0])
  // Every need on the list can be had from somebody.
  const sold = new Set(
    offers.flatMap(({ contents }) => contents.flatMap(({ spec }) => fillings(spec).map(({ key }) => key))),
  )
  expect(needs.every(({ spec }) => sold.has(specKey(spec)))).toBe(true)
})

test('an order on its way is on Today with what to do next, and off the plan', () => {
  addNeeds(store, suggestedNeeds(store))
  const { needs, offers } = buyingBench(store)
  const need = needs.find(({ spec }) =>
    offers.some(
      ({ stock, contents }) =>
        stock > 0 &&
        contents.length === 1 &&
        fillings(contents[0]!.spec).some(({ key }) => key === specKey(spec)),
    ),
  )!
  const offer = offers.find(
    ({ stock, contents }) =>
      stock > 0 &&
      contents.length === 1 &&
      fillings(contents[0]!.spec).some(({ key }) => key === specKey(need.spec)),
  )!
  const [id] = placeOrders(store, [
    {
      supplierId: offer.supplierId,
      lines: [{ itemId: offer.id, packs: 1, fills: [{ needId: need.id, strings: 1 }] }],
    },
  ]).result
  expect(todayView(store).orders.shown).toEqual([expect.objectContaining({ id, next: 'to be sent' })])
  expect(buyingBench(store).needs.some((one) => one.id === need.id)).toBe(false)
  expect(openNeeds(store).find((one) => one.id === need.id)?.orderId).toBe(id)
  const view = orderView(store, id!)
  expect(view).toMatchObject({ undecided: 0, coilIds: [], state: 'to send' })
  expect(view.lines[0]?.words).toContain('tension')
  expect(answersIn(store, view)).toBe(0)
  expect(() => orderView(store, 99)).toThrow('There is no order 99.')
})
