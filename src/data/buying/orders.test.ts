/** Needs, orders and deliveries on a real database file, and an older file brought up to date. */
import { cpSync, readFileSync, readdirSync, rmSync } from 'node:fs'
import path from 'node:path'
import Database from 'better-sqlite3'
import { planOrder } from '@/core/stores/order-plan'
import { highsSolver } from '@/workers/solver'
import { buyingBench } from '../views/buying-bench'
import { catalogueCsv, guessCatalogueMapping, mapCatalogue } from './catalogue/catalogue-file'
import { coilById, correctCoil, cutCoil, discardCoil, openCoils } from '../stores/coils'
import { setAside } from '../stores/set-aside'
import { readTable } from '../csv/read-table'
import { openStore, type Store } from '../store/database'
import { eachOnDemo } from '../demo/each-on-demo'
import { readShelf } from '../demo/shelf-files'
import { deliveryNote, deskState, handIn } from './desk'
import { instrumentBySlug } from '../instruments/instruments'
import { chooseCoil } from '../jobs/coil-of-job'
import { logBreak } from '../jobs/log-break'
import { openJobs } from '../jobs/open-jobs'
import { addNeeds, dropNeed, openNeeds } from './need-list'
import { aboutOf, changeAbout } from '../instruments/about-instrument'
import { addSuggestedNeeds, suggestedNeeds } from './suggested-needs'
import { orderCsv, orderText } from './order-sheet'
import { cancelOrder, decideSubstitution, markSent, takeDeskAnswer } from './answer-order'
import { outstanding } from './order-lines'
import { openOrders, orderById } from './orders'
import { placeOrders } from './place-orders'
import { receive } from './receive'
import { coils } from '../store/schema'
import { allSuppliers, catalogue, changeTerms, offersOf, replaceCatalogue } from './suppliers'
import { addSupply, allSupplies, anchorGut, bookAnchors, moveSupply } from '../stores/supplies'
import { takeCuttingPlan } from '../stores/cutting'

let store: Store
const { folder, demo, work } = eachOnDemo((opened) => {
  store = opened
})

/** Puts everything suggested on the list, plans it, and writes the orders. */
async function order(): Promise<readonly number[]> {
  addSuggestedNeeds(store)
  const { needs, offers, suppliers } = buyingBench(store)
  const plan = await planOrder(needs, offers, suppliers, highsSolver())
  const supplierOf = new Map(offers.map(({ id, supplierId }) => [id, supplierId]))
  return placeOrders(
    store,
    plan.bySupplier.map(({ supplierId }) => ({
      supplierId,
      lines: plan.lines
        .filter(({ offerId }) => supplierOf.get(offerId) === supplierId)
        .map(({ offerId, packs, fills }) => ({ itemId: offerId, packs, fills })),
    })),
  ).result
}

/** The longest of the orders, sent and answered. */
async function answered(): Promise<number> {
  const ids = await order()
  const longest = ids.map((id) => orderById(store, id)).sort((a, b) => b.lines.length - a.lines.length)[0]!
  const ticket = handIn(store, longest.supplier.slug, orderCsv(longest), 5, 0, 100)
  markSent(store, longest.id, 'simulator', ticket)
  expect(deskState(store, longest.supplier.slug, ticket, 99)).toMatchObject({
    stage: 'received',
    answersIn: 1,
    lines: [],
  })
  takeDeskAnswer(store, longest.id, deskState(store, longest.supplier.slug, ticket, 100).lines)
  return longest.id
}

test('what belongs on the list is told until it is on it, and again when it is taken off', () => {
  const suggested = suggestedNeeds(store)
  expect(suggested.length).toBeGreaterThan(10)
  addNeeds(store, suggested)
  const listed = openNeeds(store).find(({ jobId }) => jobId !== null)!
  const its = openJobs(store).find(({ id }) => id === listed.jobId)!
  expect(() => addNeeds(store, [{ positionId: its.positionId, jobId: listed.jobId, quantity: 1 }])).toThrow(
    'is on the need list already',
  )
  expect(() =>
    addNeeds(store, [{ positionId: suggested[0]!.positionId, jobId: listed.jobId, quantity: 1 }]),
  ).toThrow('is of another string')
  expect(() =>
    addNeeds(
      store,
      [1, 2].map(() => ({ positionId: its.positionId, jobId: listed.jobId, quantity: 1 })),
    ),
  ).toThrow('is put on the list once')
  expect(suggestedNeeds(store)).toEqual([])
  expect(() => addSuggestedNeeds(store)).toThrow('All that belongs on the list is on it.')
  const need = openNeeds(store).find(({ jobId }) => jobId === null)!
  dropNeed(store, need.id)
  expect(suggestedNeeds(store)).toHaveLength(1)
  expect(() => dropNeed(store, need.id)).toThrow('off the list already')
})

test('stock is suggested only for instruments that the workshop stocks strings for; a broken string is needed either way', () => {
  const isFor = (name: string) => (one: { readonly string: string }) => one.string.endsWith(` of ${name}`)
  const forStock = () => suggestedNeeds(store).filter(({ jobId }) => jobId === null)
  const broken = () => suggestedNeeds(store).filter(({ jobId }) => jobId !== null).length
  for (const { id } of openCoils(store)) if (!setAside(store).has(id)) discardCoil(store, id)
  logBreak(store, instrumentBySlug(store, 'fennel'), 3, 'wraps')
  const [of, needed] = [forStock().filter(isFor('Fennel')).length, broken()]
  expect(of).toBeGreaterThan(0)
  expect(needed).toBeGreaterThan(0)
  changeAbout(store, 'fennel', { ...aboutOf(instrumentBySlug(store, 'fennel')), stocked: false })
  expect(forStock().filter(isFor('Fennel'))).toEqual([])
  expect(broken()).toBe(needed)
  addSuggestedNeeds(store, 'broken')
  expect(openNeeds(store).every(({ jobId }) => jobId !== null)).toBe(true)
  addSuggestedNeeds(store, 'stock')
  expect(suggestedNeeds(store)).toEqual([])
})

test('every line of every order says material, class, end, length, octave and scientific pitch, in CSV and in words', async () => {
  for (const id of await order()) {
    const written = orderById(store, id)
    const { header, rows } = readTable(orderCsv(written))
    for (const row of rows) {
      const said = Object.fromEntries(header.map((name, i) => [name, row[i]]))
      expect(said['tension class']).toMatch(/^(concert|lever|folk|wire)$/)
      // Harps by both octave systems; zithers and lyres by what their players call them.
      expect(said.for).toMatch(/octaves counted E to F from the treble|string \d|string;/)
      expect(said.for).toContain('in scientific pitch')
      for (const name of ['part', 'packs', 'material', 'gauge mm', 'end', 'length mm'])
        expect(said[name]).not.toBe('')
    }
    expect(orderText(written, 'The Lantern Shelf')).toContain(
      'Octaves of harps are counted E to F from the treble',
    )
  }
})

test('an answer brings one substitution, a delivery fills the shelf and closes the needs, and all of it can be undone', async () => {
  const id = await answered()
  const substitute = orderById(store, id).lines.find(({ replacesId }) => replacesId !== null)!
  expect(orderById(store, id).lines.filter(({ answer }) => answer === 'substituted')).toHaveLength(1)
  decideSubstitution(store, id, substitute.id, true)
  expect(() => decideSubstitution(store, id, substitute.id, false)).toThrow('decided already')
  const lines = orderById(store, id).lines.filter((line) => outstanding(line) > 0)
  const before = { coils: openCoils(store).length, needs: openNeeds(store).length }
  const { actionId, result } = receive(
    store,
    id,
    lines.map((line) => ({ lineId: line.id, packs: outstanding(line) })),
    'Shelf',
  )
  expect(result.coilIds.length).toBeGreaterThanOrEqual(lines.length)
  expect(openCoils(store).length).toBe(before.coils + result.coilIds.length)
  expect(openNeeds(store).length).toBeLessThan(before.needs)
  expect(orderById(store, id).state).toBe('closed')
  expect(new Set(result.coilIds.map((coilId) => coilById(store, coilId).label)).size).toBe(
    result.coilIds.length,
  )
  store.undo(actionId)
  expect([openCoils(store).length, openNeeds(store).length, orderById(store, id).state]).toEqual([
    before.coils,
    before.needs,
    'acknowledged',
  ])
})

test('a set comes as its parts, each with its own gauge', async () => {
  const ids = await order()
  const orderId = ids.find((id) => orderById(store, id).lines.some(({ setOf }) => setOf !== null))!
  const line = orderById(store, orderId).lines.find(({ setOf }) => setOf !== null)!
  const ticket = handIn(store, 'weir-and-wharf', `part,packs\n${line.part},1\n`, 1, 0, 0)
  markSent(store, orderId, 'simulator', ticket)
  takeDeskAnswer(store, orderId, deskState(store, 'weir-and-wharf', ticket, 0).lines)
  const { result } = receive(store, orderId, [{ lineId: line.id, packs: 1 }], 'Shelf')
  expect(result.coilIds).toHaveLength(line.setOf!.reduce((sum, { count }) => sum + count, 0))
  expect(
    new Set(result.coilIds.map((coilId) => JSON.stringify(coilById(store, coilId).construction))).size,
  ).toBe(line.setOf!.length)
})

test('a delivery larger than the order is refused with a sentence, and nothing of it is written', async () => {
  const id = await answered()
  const [first, second] = orderById(store, id).lines.filter((line) => outstanding(line) > 0)
  const coilsBefore = openCoils(store).length
  expect(() =>
    receive(
      store,
      id,
      [
        { lineId: first!.id, packs: first!.packs },
        { lineId: second!.id, packs: second!.packs + 1 },
      ],
      '',
    ),
  ).toThrow(/came, and \d+ (was|were) still to come/)
  expect(openCoils(store).length).toBe(coilsBefore)
  expect(() =>
    store.act({ kind: 'x', summary: 'x' }, () =>
      store.rows.$client.prepare('UPDATE order_line SET received = packs + 1 WHERE id = ?').run(first!.id),
    ),
  ).toThrow('CHECK')
})

test('a refused substitute and an order given up free their strings to be planned anew', async () => {
  const id = await answered()
  const waiting = () => openNeeds(store).filter(({ orderId }) => orderId === null).length
  const before = waiting()
  decideSubstitution(
    store,
    id,
    orderById(store, id).lines.find(({ replacesId }) => replacesId !== null)!.id,
    false,
  )
  expect(waiting()).toBeGreaterThan(before)
  for (const { id: one, state } of openOrders(store)) if (state !== 'closed') cancelOrder(store, one)
  expect(waiting()).toBe(openNeeds(store).length)
  expect(() => cancelOrder(store, id)).toThrow('is closed')
})

test('what a price list does not say to be in stock can be ordered by the dozen; what it says is none can’t', async () => {
  const [supplier] = allSuppliers(store)
  const [item] = catalogue(store, supplier!.id)
  replaceCatalogue(store, supplier!.slug, [
    { ...item!, part: 'A1', stock: null },
    { ...item!, part: 'A2', stock: 0 },
  ])
  const items = catalogue(store, supplier!.id)
  expect(items.map(({ stock }) => stock)).toEqual([null, 0])
  const [untold, none] = offersOf(items)
  expect(untold!.stock).toBeGreaterThanOrEqual(12)
  expect(none!.stock).toBe(0)
  const [content] = untold!.contents
  const { lines } = await planOrder(
    [{ id: 1, spec: content!.spec, length: content!.length - 0.05, quantity: 12, by: null }],
    [untold!, none!],
    [{ id: supplier!.id, rate: 1, postageMinor: 0, freeOverMinor: null, arrivesAt: 0 }],
    highsSolver(),
  )
  expect(lines.map(({ offerId, packs }) => [offerId, packs])).toEqual([[untold!.id, 12]])
})

test('a plan made before the list changed is not written', async () => {
  addSuggestedNeeds(store)
  const [need] = openNeeds(store)
  const [item] = catalogue(store)
  dropNeed(store, need!.id)
  expect(() =>
    placeOrders(store, [
      {
        supplierId: item!.supplierId,
        lines: [{ itemId: item!.id, packs: 1, fills: [{ needId: need!.id, strings: 1 }] }],
      },
    ]),
  ).toThrow('has changed since the plan was made')
  expect(() =>
    placeOrders(store, [{ supplierId: item!.supplierId, lines: [{ itemId: 9999, packs: 1, fills: [] }] }]),
  ).toThrow('A catalogue has changed')
})

test('the desk refuses what it can’t read or does not sell, and its note holds what was taken', () => {
  expect(() => handIn(store, 'post-barrow', 'part,packs\nXX1,1\n', 1, 0)).toThrow(
    'The Post Barrow has no part XX1.',
  )
  expect(() => handIn(store, 'post-barrow', 'what\nthis\n', 1, 0)).toThrow(
    'Expected an order with the columns',
  )
  const parts = catalogue(store, allSuppliers(store).find(({ slug }) => slug === 'post-barrow')!.id).slice(
    0,
    5,
  )
  const ticket = handIn(
    store,
    'post-barrow',
    `part,packs\n${parts.map(({ part }) => `${part},1`).join('\n')}\n`,
    3,
    0,
    0,
  )
  const state = deskState(store, 'post-barrow', ticket, 0)
  const offered = state.lines.flatMap((line) => line.offered ?? [])
  expect(
    deliveryNote(store, 'post-barrow', ticket, offered).length -
      deliveryNote(store, 'post-barrow', ticket, []).length,
  ).toBe(offered.length)
})

test('two people can’t cut one coil below nothing, and a coil set aside can’t be thrown away', () => {
  const other = openStore({ folder: work, demoDate: '2026-11-24T10:00' })
  const coil = openCoils(store).find(
    ({ lengthLeft, opened }) => opened && lengthLeft > 0.5 && lengthLeft < 0.9,
  )!
  store.act({ kind: 'x', summary: 'Cut' }, () => cutCoil(store, coil.id, coil.lengthLeft - 0.1, null))
  expect(() =>
    other.act({ kind: 'x', summary: 'Cut' }, () => cutCoil(other, coil.id, coil.lengthLeft - 0.1, null)),
  ).toThrow('has only 100 mm left')
  expect(() =>
    other.act({ kind: 'x', summary: 'Cut' }, () => other.rows.update(coils).set({ leftMm: -1 }).run()),
  ).toThrow('coil_never_below_zero')
  other.close()
  const { jobId } = logBreak(store, instrumentBySlug(store, 'lovage'), 20, 'mid-length').result
  const fits = openCoils(store).find(
    ({ construction, lengthLeft }) =>
      JSON.stringify(construction) ===
        JSON.stringify(instrumentBySlug(store, 'lovage').instrument.positions[19]!.construction) &&
      lengthLeft > 0.6,
  )!
  chooseCoil(store, jobId, fits.id)
  expect(() => discardCoil(store, fits.id)).toThrow('set aside for an open job')
  expect(() => takeCuttingPlan(store, [{ jobId, coilId: 1 }])).toThrow('plan again')
})

test('a coil is set right with both figures in the history; more than was bought is refused', () => {
  const [coil] = openCoils(store)
  expect(() =>
    correctCoil(store, coil!.id, { label: 'X', place: '', lengthLeft: coil!.boughtLength + 0.1 }),
  ).toThrow('it can’t have more left')
  correctCoil(store, coil!.id, { label: coil!.label, place: 'Elsewhere', lengthLeft: coil!.lengthLeft / 2 })
  expect(coilById(store, coil!.id)).toMatchObject({
    place: 'Elsewhere',
    lengthLeft: expect.closeTo(coil!.lengthLeft / 2, 6),
  })
  expect(() => correctCoil(store, 99999, { label: 'X', place: '', lengthLeft: 1 })).toThrow('no coil 99999')
})

test('small things never go below none; anchors are made of a broken string once', () => {
  const glue = allSupplies(store).find(({ kind }) => kind === 'glue')!
  expect(() => moveSupply(store, glue.id, -3)).toThrow(`There are ${glue.count}`)
  addSupply(store, { kind: 'bead', name: 'wooden beads', place: '', count: 3, least: 1 })
  const [gut] = anchorGut(store)
  const before = allSupplies(store).find(({ name }) => name === 'gut anchors')!.count
  const { actionId } = bookAnchors(store, gut!.fittedId)
  expect(allSupplies(store).find(({ name }) => name === 'gut anchors')!.count).toBe(before + gut!.anchors)
  expect(() => bookAnchors(store, gut!.fittedId)).toThrow('booked in already')
  store.undo(actionId)
  expect(anchorGut(store)[0]).toEqual(gut)
})

test('a catalogue leaves as CSV and comes back the same; terms and catalogues are changed with undo', () => {
  const { catalogues } = readShelf('demo')
  for (const items of catalogues.values()) {
    const table = readTable(catalogueCsv(items))
    expect(mapCatalogue(table, guessCatalogueMapping(table))).toMatchObject({ items, problems: [] })
  }
  const supplier = allSuppliers(store)[0]!
  const had = catalogue(store, supplier.id)
  const { actionId } = replaceCatalogue(store, supplier.slug, had.slice(0, 2))
  expect(catalogue(store, supplier.id)).toHaveLength(2)
  store.undo(actionId)
  expect(catalogue(store, supplier.id)).toEqual(had)
  expect(() => replaceCatalogue(store, supplier.slug, [])).toThrow('no row in it')
  changeTerms(store, supplier.slug, { rate: 1.5 })
  expect(allSuppliers(store).find(({ id }) => id === supplier.id)!.rate).toBe(1.5)
})

test('a file from before there were orders is brought up to date with its needs, and what was done before can still be undone', () => {
  const old = path.join(folder, 'old')
  const db = prepareOld(old)
  db.close()
  const opened = openStore({ folder: old })
  expect(opened.rows.$client.prepare('SELECT quantity, length_mm FROM need').all()).toEqual([
    { quantity: 1, length_mm: 900 },
  ])
  opened.undo(1)
  expect(opened.rows.$client.prepare('SELECT count(*) AS n FROM coil').get()).toEqual({ n: 0 })
  opened.close()
})

/** A database as it was before the last migration, with a coil booked in and a need. */
function prepareOld(where: string): Database.Database {
  rmSync(where, { recursive: true, force: true })
  const fresh = openStore({ folder: where })
  fresh.close()
  rmSync(where, { recursive: true, force: true })
  cpSync(demo, where, { recursive: true })
  for (const file of readdirSync(where)) rmSync(path.join(where, file), { recursive: true })
  const db = new Database(path.join(where, 'taut-pinset.sqlite'))
  const { entries } = JSON.parse(readFileSync('drizzle/meta/_journal.json', 'utf8')) as {
    entries: { tag: string; when: number }[]
  }
  db.exec('CREATE TABLE __drizzle_migrations (id SERIAL PRIMARY KEY, hash text NOT NULL, created_at numeric)')
  for (const { tag, when } of entries.slice(0, 4)) {
    db.exec(readFileSync(`drizzle/${tag}.sql`, 'utf8').replaceAll('--> statement-breakpoint', ''))
    db.prepare('INSERT INTO __drizzle_migrations (hash, created_at) VALUES (?, ?)').run(tag, when)
  }
  const position = Object.entries({
    instrument_id: 1,
    number: 1,
    note: 'G4',
    colour: 'natural',
    material: 'gut',
    gauge_mm: 1,
    speaking_mm: 300,
    free_mm: 350,
    piece: 1,
    head_fastening: 'plain becket',
    tail_fastening: 'third loop',
    board_mm: 5,
    pin_mm: 7,
    gear_ratio: 1,
    tightens: 'clockwise',
    pin_height_mm: 10,
    height_datum: 'string hole',
    hole_to_end_mm: 5,
    bridge_height_mm: 8,
    to_bridge_mm: 40,
    tail_x_mm: 0,
    tail_y_mm: 0,
    bridge_x_mm: 0,
    bridge_y_mm: 300,
    pin_x_mm: 0,
    pin_y_mm: 340,
  })
  db.exec(`INSERT INTO instrument VALUES (1, 'old', 'Old', 'lyre', '', '', '', 'folk', 'C major', 440, '');
    INSERT INTO string_position (${position.map(([name]) => name).join()}) VALUES (${position.map(([, value]) => (typeof value === 'number' ? value : `'${value}'`)).join()});
    INSERT INTO need (position_id, material, gauge_mm, colour, tension_class, end, length_mm, opened_at) VALUES (1, 'gut', 1, 'natural', 'folk', 'plain', 900, 1);
    INSERT INTO coil (id, label, material, gauge_mm, colour, tension_class, maker, line, place, bought_at, bought_mm, left_mm) VALUES (1, 'P', 'gut', 1.0, 'natural', 'folk', '', '', '', 1, 1000.0, 1000.0);
    INSERT INTO action (id, at, kind, summary) VALUES (1, 1, 'stores', 'P booked in');`)
  const names = (db.prepare('PRAGMA table_info(coil)').all() as { name: string }[]).map(({ name }) => name)
  db.exec(
    `INSERT INTO change (action_id, table_name, row_id, before, after) SELECT 1, 'coil', 1, NULL, json_object(${names.map((name) => `'${name}', "${name}"`).join()}) FROM coil`,
  )
  return db
}
