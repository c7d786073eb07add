/** The least and the most of what every field takes, written through the handlers; then every page still opens. */
import Database from 'better-sqlite3'
import { randomUUID } from 'node:crypto'
import path from 'node:path'
import { expect, test } from './served'

test.use({ copy: 'extremes' })

interface Said {
  readonly sentence?: string
  readonly actionId?: number
  readonly jobId?: number
  readonly slug?: string
}

const PAGES = [
  '/',
  '/broke',
  '/instruments',
  '/instruments/new',
  '/stores',
  '/stores/cutting',
  '/stores/small-things',
  '/stores/labels',
  '/orders',
  '/orders/suppliers',
  '/orders/suppliers/weir-and-wharf',
  '/history',
  '/history?steps=shown',
  '/history?before=5',
  '/history?before=x&before=y',
  '/settling',
  '/settling/visits',
  '/settling/room',
  '/wear',
  '/wear/before',
  '/wear/kit?date=1',
  '/instruments/lovage/restring',
  '/house',
  '/house/habits',
  '/house/dates',
  '/house/archive',
  '/house/backups',
  '/instruments/lovage/about',
  '/house/fittings',
  '/knots',
]
const DRILLS = ['which', 'name', 'material', 'tie', 'slack', 'raise', 'hear', 'wrong', 'none']
const OF_INSTRUMENT = [
  '',
  '/chart',
  '/hardware',
  '/measuring-sheet',
  '/which',
  '/belongs',
  '/tune',
  '/round',
  '/wear',
  '/inspection',
  '/bench',
  '/habits',
]

/** An instrument at the bounds of what a file may say: the smallest pins, the thickest strings, the longest free length. */
function extremeFile(name: string, most: boolean) {
  const pick = (least: number, greatest: number) => (most ? greatest : least)
  return {
    slug: 'x',
    name,
    family: 'lever harp',
    maker: '',
    model: '',
    owner: '',
    tensionClass: 'lever',
    restTuning: 'C major',
    referenceA: pick(300, 500),
    lies: 'anywhere',
    coverings: [],
    positions: [1, 2].map((number) => ({
      number,
      makerLabel: null,
      askedMake: null,
      note: most ? 'C9' : `B${number === 1 ? 0 : -1}`,
      colour: 'natural',
      piece: number,
      mechanism: null,
      headFastening: 'plain becket',
      string: {
        material: 'gut',
        gaugeMm: pick(0.05, 12),
        coreMm: null,
        beddingMaterial: null,
        beddingMm: null,
        wrapMaterial: null,
        wrapMm: null,
      },
      speakingMm: pick(10, 3000) + (most ? 0 : number),
      freeMm: pick(10, 4000) + (most ? 0 : number),
      pin: {
        diameterMm: pick(1, 30),
        gearRatio: pick(1, 60),
        tightens: 'clockwise',
        threadMm: pick(0.1, 10),
        heightMm: pick(0, 200),
        heightDatum: 'top of pin',
        holeToEndMm: pick(0, 100),
        bridgeHeightMm: pick(0, 200),
        toBridgeMm: pick(0.1, 2000),
      },
      tail: { fastening: 'third loop', boardMm: pick(0, 100), eyeletBoreMm: pick(0.2, 20), postMm: null },
      at: {
        tail: { x: number * pick(1, 5), y: 0 },
        bridge: { x: number, y: pick(10, 3000) },
        pin: { x: number, y: pick(11, 4900) },
      },
    })),
  }
}

test('no stored value makes a page fail', async ({ request, served }) => {
  test.setTimeout(240_000)
  const post = async (path: string, data: object, method: 'post' | 'patch' = 'post'): Promise<Said> => {
    const response = await request[method](path, { data, headers: { 'x-action-key': randomUUID() } })
    expect(response.status(), `${path} ${JSON.stringify(data).slice(0, 120)}`).toBeLessThan(500)
    return (await response.json()) as Said
  }
  // What stands at its bound must be let in, or nothing is tried by it.
  const kept = async (...args: Parameters<typeof post>) => {
    const said = await post(...args)
    expect([args[0], args[1], said.sentence]).toEqual([args[0], args[1], undefined])
    return said
  }
  const slugs = ['lovage', 'fennel', 'teasel', 'yarrow', 'orris']
  for (const most of [false, true]) {
    const { slug, sentence } = await post('/api/instruments/file', {
      text: JSON.stringify(extremeFile(most ? 'Vast' : 'Tiny', most)),
    })
    expect(slug, sentence).toBeDefined()
    slugs.push(slug as string)
  }
  const database = new Database(path.join(served.folder, 'taut-pinset.sqlite'), { readonly: true })
  const read = database
    .prepare(
      'select fitted_id as fittedId, position_id as positionId from fitted_position join fitted_string on fitted_string.id = fitted_id where ended_at is null and fitted_at > 0 order by fitted_id desc limit 3',
    )
    .all() as { fittedId: number; positionId: number }[]
  database.close()
  // Strings that look as bad and as good as can be, and a place that is polished again and again.
  for (const slug of slugs.slice(0, 5)) {
    await kept(`/api/instruments/${slug}/looks`, {
      number: 3,
      condition: 'fraying',
      signs: ['dents', 'discoloured', 'false tone'],
    })
    await kept(`/api/instruments/${slug}/looks`, { number: 3, condition: 'fresh', signs: [] })
    await kept(`/api/instruments/${slug}/polishes`, { number: 3, site: 'tuning pin hole' })
    await kept(`/api/instruments/${slug}/polishes`, { number: 3, site: 'tuning pin hole' })
  }
  // The house at both ends, its readings at both ends, its stores and needs at their most.
  for (const most of [false, true]) {
    await kept(
      '/api/house',
      {
        unit: most ? 'in' : 'mm',
        leastSpares: most ? 20 : 0,
        sparesBy: most ? 'chance' : 'number',
        sureChance: most ? 0.999 : 0.5,
        loadShare: most ? 0.99 : 0.3,
        hourMinor: most ? 1_000_000 : 0,
        keepsStores: most,
        gaugesInThou: most,
        currency: 'EUR',
        retuneAtCents: most ? 60 : 2,
        holdsWithinCents: most ? 30 : 1,
        concertHours: most ? 24 : 0.25,
        opensAt: '00:00',
        closesAt: most ? '23:59' : '00:01',
        openDays: most ? [1, 2, 3, 4, 5, 6, 7] : [7],
        name: most ? 'M'.repeat(60) : 'm',
        address: most ? 'W'.repeat(300) : '',
        timeZone: most ? 'Pacific/Kiritimati' : 'Pacific/Pago_Pago',
        referenceA: most ? 470 : 380,
        people: most ? Array.from({ length: 60 }, (_, i) => `${i} ${'W'.repeat(37)}`) : [],
      },
      'patch',
    )
    await kept('/api/dates', {
      dates: [
        {
          name: most ? 'W'.repeat(80) : 'w',
          at: most ? 7_258_118_400_000 : 0,
          hours: most ? 24 : 0.25,
          instruments: most ? [] : ['lovage'],
        },
      ],
    })
    await kept('/api/instruments/lovage/about', {
      name: most ? 'W'.repeat(60) : 'w',
      owner: 'W'.repeat(most ? 120 : 0),
      maker: 'W'.repeat(most ? 80 : 0),
      model: 'W'.repeat(most ? 80 : 0),
      tensionClass: 'concert',
      strung: 'as usual',
      restTuning: most ? 'C-flat major' : 'E-flat major',
      lies: 'W'.repeat(most ? 200 : 1),
      referenceA: most ? 470 : 380,
      chartLink: most ? `https://a.example/${'w'.repeat(250)}` : '',
      notes: 'W'.repeat(most ? 2000 : 0),
      stocked: most,
    })
    for (const { fittedId, positionId } of read)
      for (const cents of [12, 300, -1200, 0])
        await kept('/api/readings', { fittedId, positionId, cents, broughtBack: most })
  }
  const today = await (await request.get('/')).text()
  expect(today).toContain('A string broke')
  for (const habit of [
    ['wraps', 8],
    ['wraps', 1],
    ['tail', 0.3],
    ['slackLength', 0.5],
    ['slackStrings', 20],
    ['stretchCycles', 12],
    ['thinBelow', 4e-3],
  ] as const)
    await kept('/api/habits', { of: 'house', key: habit[0], value: habit[1] })
  await kept('/api/coils', {
    label: 'L'.repeat(80),
    unit: 'mm',
    material: 'gut',
    gauge: '12',
    length: '200 m',
    colour: 'natural',
    tensionClass: 'concert',
    maker: 'M'.repeat(80),
    line: '',
    place: '',
  })
  await kept('/api/suppliers/weir-and-wharf/terms', {
    rate: 10_000,
    postage: '9999999.99',
    freeOver: '',
    leadDays: 365,
    simulated: true,
  })
  await kept('/api/supplies', {
    kind: 'bead',
    name: 'b'.repeat(60),
    place: '',
    count: 100_000,
    least: 100_000,
  })
  // A job on the least and on the greatest instrument, on its way.
  const jobs: number[] = []
  for (const slug of slugs) {
    const { jobId } = await post('/api/breaks', { instrument: slug, string: 1, site: 'mid-length' })
    if (jobId === undefined) continue
    jobs.push(jobId)
    for (const step of ['make-ready', 'take-off'])
      await post(`/api/jobs/${jobId}/steps`, { step, done: true })
    await post(`/api/jobs/${jobId}/measures`, { what: 'wraps', text: '20', unit: 'mm' })
    await post(`/api/jobs/${jobId}/measures`, { what: 'cents', text: '-300', unit: 'mm' })
    await post(`/api/jobs/${jobId}/need`, {})
  }
  expect(jobs.length).toBeGreaterThanOrEqual(5)
  const pages = [
    ...PAGES,
    ...slugs.flatMap((slug) =>
      OF_INSTRUMENT.flatMap((of) => [
        `/instruments/${slug}${of}`,
        `/instruments/${slug}${of}?string=2`,
        `/instruments/${slug}${of}?string=2147483648`,
      ]),
    ),
    ...slugs.flatMap((slug) => [
      `/practice?on=${slug}`,
      ...DRILLS.map((drill) => `/practice/${drill}/${slug}`),
    ]),
    '/practice/due',
    ...jobs.flatMap((id) =>
      ['', '/coil', '/figures', '/steps', '/card', '/habits'].map((of) => `/jobs/${id}${of}`),
    ),
    ...Array.from({ length: 12 }, (_, i) => `/stores/coils/${i + 1}`),
  ]
  for (const address of pages) {
    const response = await request.get(address)
    expect([address, response.status() < 500]).toEqual([address, true])
    expect(await response.text(), address).not.toContain('This page could not be drawn')
  }
})

test('an action that is sent again with its key is the same action', async ({ request }) => {
  const key = randomUUID()
  const send = () =>
    request.post('/api/breaks', {
      data: { instrument: 'sorrel', string: 12, site: 'knot' },
      headers: { 'x-action-key': key },
    })
  const [first, again] = [await send(), await send()]
  expect([first.status(), again.status()]).toEqual([200, 200])
  expect(await again.json()).toEqual(await first.json())
})
