/** Bad input at every route handler: one sentence, the right status, nothing written. */
import { expect, test } from './served'

const BAD: readonly (readonly [
  what: string,
  path: string,
  body: unknown,
  status: number,
  sentence: string,
])[] = [
  [
    'a string that is not on the instrument',
    '/api/breaks',
    { instrument: 'lovage', string: 48, site: 'knot' },
    404,
    'Lovage has strings 1 to 47; there is no string 48.',
  ],
  [
    'an instrument that is not there',
    '/api/breaks',
    { instrument: 'nettle', string: 1, site: 'knot' },
    404,
    'There is no instrument called “nettle” on the shelf.',
  ],
  [
    'text for a number',
    '/api/breaks',
    { instrument: 'lovage', string: 'three', site: 'knot' },
    400,
    'Expected the string’s number, counted from the top.',
  ],
  [
    'a place that is none',
    '/api/breaks',
    { instrument: 'lovage', string: 3, site: 'moon' },
    400,
    'Say where it gave way: choose one of the places.',
  ],
  ['no object', '/api/breaks', [1], 400, 'Expected a JSON object.'],
  [
    'a gauge of 40 mm',
    '/api/coils',
    {
      label: 'P',
      unit: 'mm',
      material: 'gut',
      gauge: '40',
      length: '1000',
      colour: 'natural',
      tensionClass: 'concert',
    },
    400,
    'The gauge of 40 mm can’t be right; expected 0.05 mm to 12 mm.',
  ],
  [
    'a negative length',
    '/api/coils',
    {
      label: 'P',
      unit: 'mm',
      material: 'gut',
      gauge: '1',
      length: '-5 m',
      colour: 'natural',
      tensionClass: 'concert',
    },
    400,
    'The length must be more than nothing; “-5 m” is not.',
  ],
  [
    'a length in words',
    '/api/coils',
    {
      label: 'P',
      unit: 'mm',
      material: 'gut',
      gauge: '1',
      length: 'long',
      colour: 'natural',
      tensionClass: 'concert',
    },
    400,
    'Expected a length such as “0.64 mm”, “.041 in” or “41 thou”, got “long”.',
  ],
  [
    'a material that is none',
    '/api/coils',
    {
      label: 'P',
      unit: 'mm',
      material: 'spider',
      gauge: '1',
      length: '1 m',
      colour: 'natural',
      tensionClass: 'concert',
    },
    400,
    'The material is one of gut',
  ],
  ['no job of that number', '/api/jobs/999/coil', { coilId: 1 }, 404, 'There is no job 999.'],
  ['a job that is no number', '/api/jobs/x/coil', { coilId: 1 }, 404, 'There is no job x.'],
  [
    'nine wraps',
    '/api/habits',
    { of: 'job', jobId: 1, key: 'wraps', value: 9 },
    400,
    'Wraps: expected a number from 1 to 8',
  ],
  [
    'a habit nobody has',
    '/api/habits',
    { of: 'house', key: 'becket', value: 'never' },
    400,
    'Choose one of: before turning; after half a turn.',
  ],
  [
    'no such habit',
    '/api/habits',
    { of: 'house', key: 'teeth', value: 'yes' },
    400,
    'There is no such habit.',
  ],
  ['a way that is none', '/api/jobs/1/covered', { way: 'leave it' }, 400, 'Choose one of the three ways.'],
  [
    'a measure that is none',
    '/api/jobs/1/measures',
    { what: 'wraps', text: 'many', unit: 'mm' },
    400,
    'Wraps: expected a number from 0.25 to 20',
  ],
  [
    'a mishap that is none',
    '/api/jobs/1/mishaps',
    { step: 'wind', mishap: 'sneezed' },
    400,
    'Say what went wrong',
  ],
  [
    'cents in words',
    '/api/readings',
    { fittedId: 1, positionId: 1, cents: 'flat', broughtBack: true },
    400,
    'Cents: expected a number such as −12.',
  ],
  [
    'a nested fault',
    '/api/needs',
    {
      wanted: [
        { positionId: 1, jobId: null, quantity: 1 },
        { positionId: 2, jobId: null, quantity: 900 },
      ],
    },
    400,
    'More than 200 of one string is a slip of the pen.',
  ],
  [
    'copper by itself',
    '/api/coils',
    {
      label: 'P',
      unit: 'mm',
      material: 'copper',
      gauge: '1',
      length: '1 m',
      colour: 'natural',
      tensionClass: 'concert',
    },
    400,
    'The material is one of gut',
  ],
  [
    'copper in a chart',
    '/api/instruments/lovage/chart',
    {
      lines: [
        {
          number: '3',
          label: '',
          note: 'E7',
          colour: 'natural',
          material: 'copper',
          gauge: '0.6',
          core: '',
          bedding: '',
          wrap: '',
          speaking: '80',
          free: '130',
          asked: '',
        },
      ],
    },
    400,
    'Copper is a wrap only',
  ],
  [
    'a file with fields of its own',
    '/api/instruments/file',
    { text: '{"slug":"x","name":"X","habits":"{"}' },
    400,
    'there is no such field',
  ],
  [
    'cents of a habit’s prototype',
    '/api/habits',
    { of: 'house', key: 'constructor', value: 'x' },
    400,
    'There is no such habit.',
  ],
  ['an action that never was', '/api/actions/99999/undo', {}, 404, 'There is no action 99999 to undo.'],
]

test('each is answered with its status and its sentence, and the history stays as it was', async ({
  request,
  page,
}) => {
  await page.goto('/history')
  const before = await page.getByRole('listitem').first().innerText()
  for (const [what, path, body, status, sentence] of BAD) {
    const response = await request[path.endsWith('/chart') ? 'patch' : 'post'](path, { data: body as object })
    expect(response.status(), what).toBe(status)
    expect(((await response.json()) as { sentence: string }).sentence, what).toContain(sentence)
  }
  const broken = await request.post('/api/breaks', {
    headers: { 'content-type': 'application/json' },
    data: Buffer.from('{"instrument":'),
  })
  expect(broken.status()).toBe(400)
  await page.reload()
  expect(await page.getByRole('listitem').first().innerText()).toBe(before)
})

test('finding a string by name: two readings, an unknown note, a note that is not here', async ({
  request,
}) => {
  const find = async (name: string) => {
    const response = await request.get(`/api/find?at=lovage&name=${encodeURIComponent(name)}`)
    return [response.status(), await response.json()] as const
  }
  expect((await find('A3'))[1]).toMatchObject({ readings: [{ number: 28 }, { number: 21 }] })
  const [status, said] = await find('J4')
  expect(status).toBe(400)
  expect((said as { sentence: string }).sentence).toContain("“J4” is not a string's name.")
  expect(await find('C9')).toMatchObject([
    404,
    { sentence: 'Lovage has no string called “C9”; the nearest is its 1st-octave C.' },
  ])
})

test('a desk takes an order over HTTP, answers after its delay, and the same order and seed alike', async ({
  request,
}) => {
  const csv = 'part,packs\nGS111,1\nGS113,2\nGS129,1\n'
  const hand = async (path: string, data: string) =>
    request.post(path, { data, headers: { 'content-type': 'text/csv' } })
  const tickets = [
    await hand('/api/desk/gannet-street?seed=9&delay=0', csv),
    await hand('/api/desk/gannet-street?seed=9&delay=0', csv),
    await hand('/api/desk/gannet-street?seed=9&delay=600000', csv),
  ]
  const [first, second, slow] = await Promise.all(
    tickets.map(
      async (answer) =>
        (await (
          await request.get(`/api/desk/gannet-street/${((await answer.json()) as { ticket: string }).ticket}`)
        ).json()) as { stage: string; lines: unknown[]; delivery: unknown[] },
    ),
  )
  expect(first).toMatchObject({ stage: 'acknowledged', answersIn: 0 })
  expect(first?.lines).toHaveLength(3)
  expect(second?.lines).toEqual(first?.lines)
  expect(slow).toMatchObject({ stage: 'received', lines: [], delivery: [] })
  const wrong = await hand('/api/desk/gannet-street', 'part,packs\nNONE,1\n')
  expect([wrong.status(), await wrong.json()]).toEqual([
    400,
    { sentence: 'Gannet Street Strings has no part NONE.', field: 'csv' },
  ])
})

test('a request from another site is turned away', async ({ request }) => {
  const response = await request.post('/api/breaks', {
    headers: { 'sec-fetch-site': 'cross-site' },
    data: { instrument: 'lovage', string: 5, site: 'knot' },
  })
  expect(response.status()).toBe(403)
})

test('settings and stores: what is typed is kept, shown in the house’s unit, and can be undone', async ({
  page,
}) => {
  await page.goto('/house')
  await page.getByLabel('Unit').selectOption('in')
  await page.getByLabel('Retune a settling string at, cents').fill('1')
  await page.getByRole('button', { name: 'Keep these settings' }).click()
  await expect(page.getByText('Nobody retunes for less than two cents.')).toBeVisible()
  await page.getByLabel('Retune a settling string at, cents').fill('12')
  await page.getByRole('button', { name: 'Keep these settings' }).click()
  await expect(page.getByRole('status').filter({ hasText: 'changed' })).toBeVisible()
  await page.goto('/house/habits')
  const tail = page.getByRole('textbox', { name: 'Tail left beyond the hole, in' })
  await tail.fill('30')
  await tail.press('Enter')
  await expect(page.getByText('The tail: expected a length from 10 to 300 mm.')).toBeVisible()
  await tail.fill('2')
  await tail.press('Enter')
  await expect(page.getByRole('status').filter({ hasText: 'Tail left beyond the hole: 2.' })).toBeVisible()

  await page.goto('/stores')
  await page.getByLabel('Label on the packet').fill('Packet 300')
  await page.getByLabel('Gauge').fill('41 thou')
  await page.getByLabel('Length').fill('55 1/2')
  await page.getByRole('button', { name: 'Book it in' }).click()
  await page.getByRole('textbox', { name: 'Look for' }).fill('Packet 300')
  const row = page.getByRole('row').filter({ hasText: 'Packet 300' })
  await expect(row).toContainText('.041 in')
  await expect(row).toContainText('55 1/2 in')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(row).toHaveCount(0)

  await page.goto('/history')
  await page.getByRole('button', { name: 'Undo: The house’s habit: tail left beyond the hole' }).click()
  await expect(page.getByRole('listitem').first()).toContainText(
    'Undone: The house’s habit: tail left beyond the hole',
  )
  await page.getByRole('button', { name: 'Undo: House settings changed' }).click()
  await expect(page.getByRole('listitem').first()).toContainText('Undone: House settings changed')
  await page.goto('/house')
  await expect(page.getByLabel('Unit')).toHaveValue('mm')
  await page.goto('/house/habits')
  await expect(page.getByRole('textbox', { name: 'Tail left beyond the hole, mm' })).toHaveValue('60')
})
