/** Books that add up: orders against their needs, deliveries, parked tails, pieces cut too short, what is sent twice. */
import { parseMoney } from '@/core/stores/money'
import { massPerLength } from '@/core/strings/construction'
import { addCoil, coilById, discardCoil, openCoils, withCuts } from './stores/coils'
import { freeCoils } from './stores/set-aside'
import type { Store } from './store/database'
import { eachOnDemo } from './demo/each-on-demo'
import { instrumentBySlug, positionId } from './instruments/instruments'
import { chooseCoil } from './jobs/coil-of-job'
import { finishJob } from './jobs/finish-job'
import { jobById } from './jobs/job'
import { logBreak } from './jobs/log-break'
import { openReplacement } from './jobs/jobs-together'
import { keepMeasure, logMishap, markStepOfAll } from './jobs/job-steps'
import { addNeeds, openNeeds } from './buying/need-list'
import { idempotent } from './store/idempotent'
import { markSent, substitutionChange, takeDeskAnswer, toSend } from './buying/answer-order'
import { type OrderLine } from './buying/order-lines'
import { orderById } from './buying/orders'
import { placeOrders } from './buying/place-orders'
import { receive } from './buying/receive'
import { openTails, trimTail } from './fitted/parked-tails'
import { answeredRequests, jobs } from './store/schema'
import { holdsFrom, logReading, settlingStrings } from './fitted/settling'
import { catalogue, replaceCatalogue } from './buying/suppliers'
import { allSupplies, moveSupply, shortSupplies, wantSupply } from './stores/supplies'
import { todayView } from './views/today'

let store: Store
eachOnDemo(
  (opened) => {
    store = opened
  },
  { syncAtClose: true },
)

const lovage = () => instrumentBySlug(store, 'lovage')
/** A plain packet that is sold for a position of Lovage, and the supplier's id for it. */
function sold(number: number) {
  const p = lovage().instrument.positions[number - 1]!
  const item = catalogue(store).find(
    ({ construction, colour, tensionClass, setOf, length }) =>
      setOf === null &&
      JSON.stringify(construction) === JSON.stringify(p.construction) &&
      colour === p.colour &&
      tensionClass === 'concert' &&
      length > 0.7,
  )!
  return item
}
function need(number: number, quantity: number): number {
  addNeeds(store, [{ positionId: positionId(lovage(), number), jobId: null, quantity }])
  return openNeeds(store).at(-1)!.id
}
const ordered = (needId: number, packs: number, strings: number, number = 22) => {
  const item = sold(number)
  const [id] = placeOrders(store, [
    { supplierId: item.supplierId, lines: [{ itemId: item.id, packs, fills: [{ needId, strings }] }] },
  ]).result
  markSent(store, id!, 'simulator', '1')
  takeDeskAnswer(store, id!, [{ part: item.part, packs, answer: 'confirmed', offered: null }])
  return orderById(store, id!)
}
const sentence = (act: () => unknown): string => {
  try {
    act()
  } catch (error) {
    return (error as Error).message
  }
  return ''
}

describe('orders and their needs', () => {
  test('a need that is met in part stays open for the rest, and only the rest is bought again', () => {
    const needId = need(22, 4)
    const order = ordered(needId, 2, 2)
    expect(openNeeds(store).find(({ id }) => id === needId)).toMatchObject({ onOrder: 2, toOrder: 2, met: 0 })
    receive(store, order.id, [{ lineId: order.lines[0]!.id, packs: 1 }], 'Tray')
    expect(openNeeds(store).find(({ id }) => id === needId)).toMatchObject({ onOrder: 1, toOrder: 2, met: 1 })
    receive(store, order.id, [{ lineId: order.lines[0]!.id, packs: 1 }], 'Tray')
    expect(openNeeds(store).find(({ id }) => id === needId)).toMatchObject({
      onOrder: 0,
      toOrder: 2,
      met: 2,
      quantity: 4,
    })
    const rest = ordered(needId, 2, 2)
    receive(store, rest.id, [{ lineId: rest.lines[0]!.id, packs: 2 }], 'Tray')
    expect(openNeeds(store).some(({ id }) => id === needId)).toBe(false)
  })
  test('what a line was not cut for is not closed with it, and one need stands in no more lines than it has strings', () => {
    const [first, second] = [need(22, 1), need(22, 1)]
    const order = ordered(first, 1, 1)
    receive(store, order.id, [{ lineId: order.lines[0]!.id, packs: 1 }], 'Tray')
    expect(openNeeds(store).map(({ id }) => id)).toContain(second)
    const item = sold(22)
    const line = { itemId: item.id, packs: 1, fills: [{ needId: second, strings: 1 }] }
    expect(
      sentence(() => placeOrders(store, [{ supplierId: item.supplierId, lines: [line, line] }])),
    ).toContain('on order already')
    expect(
      sentence(() =>
        placeOrders(store, [
          {
            supplierId: item.supplierId,
            lines: [
              {
                ...line,
                fills: [
                  { needId: second, strings: 1 },
                  { needId: second, strings: 1 },
                ],
              },
            ],
          },
        ]),
      ),
    ).not.toBe('')
  })
  test('a line can’t name strings that are not in its packs', () => {
    const needId = need(40, 1)
    const item = sold(22)
    expect(
      sentence(() =>
        placeOrders(store, [
          {
            supplierId: item.supplierId,
            lines: [{ itemId: item.id, packs: 1, fills: [{ needId, strings: 1 }] }],
          },
        ]),
      ),
    ).toContain('can’t be cut from one pack')
  })
  test('a line told twice in one delivery is refused, and nothing of it is booked', () => {
    const order = ordered(need(22, 2), 2, 2)
    const lineId = order.lines[0]!.id
    const before = openCoils(store).length
    expect(
      sentence(() =>
        receive(
          store,
          order.id,
          [
            { lineId, packs: 1 },
            { lineId, packs: 1 },
          ],
          'Tray',
        ),
      ),
    ).toContain('told twice')
    expect(openCoils(store)).toHaveLength(before)
  })
  test('a set comes with what it held when it was ordered, whatever the catalogue says today', () => {
    const set = catalogue(store).find(({ setOf }) => setOf !== null)!
    const parts = set.setOf!.reduce((sum, { count }) => sum + count, 0)
    const [id] = placeOrders(store, [
      { supplierId: set.supplierId, lines: [{ itemId: set.id, packs: 1, fills: [] }] },
    ]).result
    markSent(store, id!, 'simulator', '1')
    takeDeskAnswer(store, id!, [{ part: set.part, packs: 1, answer: 'confirmed', offered: null }])
    replaceCatalogue(
      store,
      'weir-and-wharf',
      catalogue(store, set.supplierId).filter(
        ({ setOf, part }) => setOf === null && !set.setOf!.some((of) => of.part === part),
      ),
    )
    const { result } = receive(store, id!, [{ lineId: orderById(store, id!).lines[0]!.id, packs: 1 }], 'Tray')
    expect(result.coilIds).toHaveLength(parts)
  })
  test('a wound substitute is weighed by its mass, not by its outside', () => {
    const wound = (wrap: number) =>
      ({
        construction: {
          kind: 'wound',
          core: { material: 'steel', diameter: 0.0004 },
          bedding: null,
          wrap: { material: 'copper', diameter: wrap },
        },
      }) as OrderLine
    const [asked, offered] = [wound(0.0003), wound(0.00034)]
    expect(substitutionChange(asked, offered).change).toBeCloseTo(
      massPerLength(offered.construction) / massPerLength(asked.construction) - 1,
      12,
    )
    expect(substitutionChange(asked, offered).change).not.toBeCloseTo((1.08 / 1.0) ** 2 - 1, 3)
  })
  test('a second click on Send finds it sent', () => {
    const order = ordered(need(22, 1), 1, 1)
    expect(sentence(() => toSend(store, order.id))).toContain('can’t be done with it now')
  })
})

describe('coils', () => {
  const setAsideOn22 = () => {
    const coilId = store.act({ kind: 'stores', summary: 'A packet' }, () =>
      addCoil(store, {
        label: 'Aside',
        construction: lovage().instrument.positions[21]!.construction,
        colour: 'natural',
        tensionClass: 'concert',
        maker: '',
        line: '',
        place: '',
        boughtAt: store.now(),
        boughtLength: 0.9,
      }),
    ).result
    const { jobId } = logBreak(store, lovage(), 22, 'knot').result
    chooseCoil(store, jobId, coilId)
    return { coilId, jobId }
  }
  test('what is set aside for one job is not free for another', () => {
    const { coilId, jobId } = setAsideOn22()
    expect(freeCoils(store).find(({ id }) => id === coilId)!.lengthLeft).toBeLessThan(0.3)
    expect(freeCoils(store, jobId).find(({ id }) => id === coilId)!.lengthLeft).toBeCloseTo(0.9, 9)
  })
  test('one that was thrown away can’t be chosen', () => {
    const { jobId, coilId } = setAsideOn22()
    const other = store.act({ kind: 'stores', summary: 'A packet' }, () =>
      addCoil(store, { ...coilById(store, coilId), label: 'Gone', boughtLength: 2, lengthLeft: 2 }),
    ).result
    discardCoil(store, other)
    expect(sentence(() => chooseCoil(store, jobId, other))).toContain('was thrown away')
  })
  test('a piece cut too short is no longer than its coil was, and keeps a ready-made loop', () => {
    const bistort = instrumentBySlug(store, 'bistort')
    const { jobId } = openReplacement(store, bistort, 4).result
    const p = bistort.instrument.positions[3]!
    const coilId = store.act({ kind: 'stores', summary: 'A packet' }, () =>
      addCoil(store, {
        label: 'Looped',
        construction: p.construction,
        colour: p.colour,
        tensionClass: 'wire',
        maker: '',
        line: '',
        place: '',
        end: 'loop',
        boughtAt: store.now(),
        boughtLength: 0.9,
      }),
    ).result
    chooseCoil(store, jobId, coilId)
    keepMeasure(store, jobId, 'cut', 7)
    logMishap(store, jobId, 'mark', 'cut too short')
    const piece = openCoils(store).find(({ label }) => label === 'Looped, cut too short')!
    expect(piece).toMatchObject({ end: 'loop', boughtLength: 0.9 })
    expect(coilById(store, coilId)).toMatchObject({ lengthLeft: 0, end: 'plain' })
    expect(jobById(store, jobId).coil).toBeNull()
  })
})

describe('parked tails', () => {
  const fitted = (cut: number | null) => {
    const coilId = store.act({ kind: 'stores', summary: 'A packet' }, () =>
      addCoil(store, {
        label: 'Long',
        construction: lovage().instrument.positions[21]!.construction,
        colour: 'natural',
        tensionClass: 'concert',
        maker: '',
        line: '',
        place: '',
        boughtAt: store.now(),
        boughtLength: 1.5,
      }),
    ).result
    const { jobId } = logBreak(store, lovage(), 22, 'knot').result
    chooseCoil(store, jobId, coilId)
    finishJob(store, jobId, { cut, wraps: 3, gauge: null })
    return coilId
  }
  test('a tail stays on Today until it is trimmed, and only then is the rest of its packet booked', () => {
    const coilId = fitted(null)
    const tail = todayView(store).tails.shown.find(({ coil }) => coil?.label === 'Long')!
    expect(tail).toMatchObject({ name: '3rd-octave G', ended: false })
    expect(openCoils(store).some(({ id }) => id === coilId)).toBe(false)
    expect(sentence(() => discardCoil(store, coilId))).toContain('hangs on a neck')
    expect(sentence(() => trimTail(store, tail.id, null))).toContain('Say how much is left of Long')
    expect(sentence(() => trimTail(store, tail.id, 1.5))).toContain('less must be left')
    const { actionId } = trimTail(store, tail.id, 0.8)
    expect(withCuts(store, [coilById(store, coilId)])).toMatchObject([
      { lengthLeft: 0.8, cuts: [{ length: 0.7 }] },
    ])
    expect(openTails(store).some(({ id }) => id === tail.id)).toBe(false)
    store.undo(actionId)
    expect(openTails(store).some(({ id }) => id === tail.id)).toBe(true)
  })
  test('one whose string breaks before needs no trimming; a packet that hung there still waits to be booked', () => {
    fitted(0.7)
    expect(openTails(store).filter(({ slug, number }) => slug === 'lovage' && number === 22)).toHaveLength(1)
    logBreak(store, lovage(), 22, 'wraps')
    expect(openTails(store).filter(({ slug, number }) => slug === 'lovage' && number === 22)).toHaveLength(0)
  })
})

describe('settling', () => {
  test('a reading of +12 cents on new steel is told as odd, and Today goes on', () => {
    const wire = settlingStrings(store).find((s) => s.slug === 'teasel')!
    const told = logReading(store, {
      fittedId: wire.fitted.id,
      positionId: wire.positionId,
      cents: 12,
      broughtBack: true,
    }).result
    expect(told.kind).toBe('rise')
    for (const cents of [300, -1200, 299])
      logReading(store, { fittedId: wire.fitted.id, positionId: wire.positionId, cents, broughtBack: true })
    const after = settlingStrings(store).find((s) => s.positionId === wire.positionId)!
    expect(after.readings.map(({ kind }) => kind).slice(-4)).toEqual(['rise', 'rise', 'slip', 'rise'])
    for (const at of [after.nextAt ?? 0, holdsFrom(after, 5, 2) ?? 0, ...after.planAt])
      expect(Number.isNaN(new Date(at).getTime())).toBe(false)
  })
  test('cents when it was left are no slip, and settling is counted from there', () => {
    const { jobId } = logBreak(store, lovage(), 22, 'knot').result
    const coilId = store.act({ kind: 'stores', summary: 'A packet' }, () =>
      addCoil(store, {
        label: 'G',
        construction: lovage().instrument.positions[21]!.construction,
        colour: 'natural',
        tensionClass: 'concert',
        maker: '',
        line: '',
        place: '',
        boughtAt: store.now(),
        boughtLength: 1.5,
      }),
    ).result
    chooseCoil(store, jobId, coilId)
    keepMeasure(store, jobId, 'cents', -100)
    keepMeasure(store, jobId, 'cycles', 3)
    const { fittedId } = finishJob(store, jobId, { cut: 0.7, wraps: 3, gauge: null }).result
    const s = settlingStrings(store).find(({ fitted }) => fitted.id === fittedId)!
    expect(s).toMatchObject({ slipping: false, lawIsOwn: false })
    expect(s.expectedNow).toBeCloseTo(-100, 2)
    expect(s.nextAt!).toBeLessThan(store.now() + 60_000)
    // Three gentle pulls: it counts as 0.84 h old, so that each interval is longer.
    expect(s.law.tau).toBeCloseTo(0.05 + 0.25 * (1.5 ** 3 - 1), 9)
  })
})

describe('small things', () => {
  test('what runs short joins the need list, and leaves it as it comes', () => {
    const [thing] = allSupplies(store)
    moveSupply(store, thing!.id, -thing!.count)
    const short = shortSupplies(store).find(({ id }) => id === thing!.id)!
    expect(short.short).toBe(thing!.least)
    wantSupply(store, thing!.id, short.short)
    expect(shortSupplies(store).some(({ id }) => id === thing!.id)).toBe(false)
    moveSupply(store, thing!.id, short.short)
    expect(allSupplies(store).find(({ id }) => id === thing!.id)).toMatchObject({
      count: thing!.least,
      wanted: 0,
    })
  })
})

describe('one action once', () => {
  test('sent again with its key it is the same action; another with that key is refused; a refusal leaves nothing', () => {
    const count = () => store.rows.select().from(jobs).all().length
    const before = count()
    const open = () => openReplacement(store, instrumentBySlug(store, 'sorrel'), 9)
    const [first, again] = [
      idempotent(store, 'key-0001', 'open 9', open),
      idempotent(store, 'key-0001', 'open 9', open),
    ]
    expect(again).toEqual(first)
    expect(count()).toBe(before + 1)
    expect(sentence(() => idempotent(store, 'key-0001', 'open 10', open))).toContain(
      'belongs to another action',
    )
    expect(sentence(() => idempotent(store, 'key-0002', 'open 9', open))).toContain('has an open job already')
    expect(store.rows.select().from(answeredRequests).all()).toHaveLength(1)
    // Whatever goes wrong after the write takes the write along.
    expect(
      sentence(() =>
        idempotent(store, 'key-0003', 'x', () => {
          openReplacement(store, instrumentBySlug(store, 'sorrel'), 11)
          throw new Error('after')
        }),
      ),
    ).toBe('after')
    expect(count()).toBe(before + 1)
  })
  test('ticking several steps is one action, and a tick that can’t be is refused whole', () => {
    const ids = [5, 6].map((n) => openReplacement(store, instrumentBySlug(store, 'sorrel'), n).result.jobId)
    const { actionId } = markStepOfAll(store, [...ids, ...ids], 'make-ready', true)
    expect(ids.map((id) => jobById(store, id).doneSteps)).toEqual([['make-ready'], ['make-ready']])
    store.undo(actionId)
    expect(ids.map((id) => jobById(store, id).doneSteps)).toEqual([[], []])
    expect(sentence(() => markStepOfAll(store, ids, 'fly', true))).toContain('no step “fly”')
  })
})

test.each(['0.995', '00.995', '0,995', '1'.repeat(40)])('“%s” is no price of hundreds', (text) =>
  expect(() => parseMoney(text)).toThrow('Expected a price'),
)
