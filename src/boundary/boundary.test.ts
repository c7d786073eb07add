/** The boundary of the route handlers, on real requests. */
import { IsIn, IsInt, IsString, Max } from 'class-validator'
import { Refusal } from './refusal'
import { answerTo, handler, idFrom } from './handle'
import { CUT, GAUGE, IsLengthText, lengthOf, readLength } from './length-text'

class Order {
  @Max(9, { message: 'No more than nine.' })
  @IsInt({ message: 'Expected a whole number.' })
  count!: number

  @IsIn(['mm', 'in'], { message: 'The unit is mm or in.' })
  unit!: 'mm' | 'in'

  @IsLengthText(GAUGE)
  gauge!: string
}

/** Keeps no answers: what is sent twice is done twice. */
const handle = handler((_key, _asked, answer) => answer())

const post = (body: string, headers: Record<string, string> = {}) =>
  new Request('http://127.0.0.1/api', { method: 'POST', body, headers })
const order = { count: 2, unit: 'mm', gauge: '1.24' }
const answered = async (response: Promise<Response>) => {
  const { status } = await response
  return [status, await (await response).json()] as const
}

test('what is right goes through, and what is not asked for is left out', async () => {
  const answer = handle(post(JSON.stringify({ ...order, sly: true })), Order, (body) => ({ ...body }))
  expect(await answered(answer)).toEqual([200, order])
})

test.each([
  ['text for a number', { ...order, count: 'many' }, 'Expected a whole number.', 'count'],
  ['too many', { ...order, count: 12 }, 'No more than nine.', 'count'],
  ['a unit of its own', { ...order, unit: 'ell' }, 'The unit is mm or in.', 'unit'],
  ['nothing where a gauge is asked for', { ...order, gauge: '' }, 'The gauge is missing.', 'gauge'],
  ['a gauge that is a number and no text', { ...order, gauge: 1.24 }, 'The gauge is missing.', 'gauge'],
  [
    'a gauge below nothing',
    { ...order, gauge: '-1' },
    'The gauge must be more than nothing; “-1” is not.',
    'gauge',
  ],
  [
    'a gauge of 40 mm',
    { ...order, gauge: '40' },
    'The gauge of 40 mm can’t be right; expected 0.05 mm to 12 mm.',
    'gauge',
  ],
])('%s is answered 400 at its field', async (_, body, sentence, field) => {
  const write = jest.fn()
  expect(await answered(handle(post(JSON.stringify(body)), Order, write))).toEqual([400, { sentence, field }])
  expect(write).not.toHaveBeenCalled()
})

test.each(['', '{', '[1,2]', 'null', '"text"'])('a body of %s is answered 400', async (body) => {
  const [status, said] = await answered(handle(post(body), Order, () => ({})))
  expect(status).toBe(400)
  expect((said as { sentence: string }).sentence).toMatch(/^Expected (JSON|a JSON object)/)
})

describe('what no body may hold', () => {
  const deep = (times: number) => '['.repeat(times) + ']'.repeat(times)
  test.each<[string, string, string | RegExp]>([
    ['lists in lists without end', `{"count":${deep(5000)}}`, /nested deeper/],
    ['a field with the name of what every object has', '{"constructor":1}', /a name that no field has/],
    ['such a name further in', '{"count":[{"__proto__":1}]}', /a name that no field has/],
    ['a zero', JSON.stringify({ ...order, unit: 'm\u0000m' }), /signs in it that can’t be seen/],
    ['a sign that turns what follows', JSON.stringify({ ...order, unit: '\u202emm' }), /can’t be seen/],
    ['half a sign', '{"unit":"\\ud800"}', /can’t be seen/],
    [
      'text without end',
      JSON.stringify({ ...order, unit: 'm'.repeat(5001) }),
      /5000 letters are taken at most/,
    ],
  ])('%s', async (_, body, said) => {
    const [status, { sentence }] = (await answered(handle(post(body), Order, () => ({})))) as [
      number,
      { sentence: string },
    ]
    expect(status).toBe(400)
    expect(sentence).toMatch(said)
  })

  test('blanks at the ends of a text are none of it; a file is left as it is', async () => {
    class File {
      static readonly isFile = true
      @IsString() text!: string
    }
    expect(
      await answered(
        handle(post(JSON.stringify({ ...order, unit: ' mm\n' })), Order, ({ unit }) => ({ unit })),
      ),
    ).toEqual([200, { unit: 'mm' }])
    const text = ` \u200b${'x'.repeat(3000)} `
    expect(
      await answered(handle(post(JSON.stringify({ text })), File, ({ text: kept }) => ({ kept }))),
    ).toEqual([200, { kept: text }])
  })
})

test('refusals keep their status and field, and so does one that another copy of the module made', async () => {
  expect(
    await answered(
      answerTo(() => {
        throw new Refusal(409, 'It was cut meanwhile.', 'coilId')
      }),
    ),
  ).toEqual([409, { sentence: 'It was cut meanwhile.', field: 'coilId' }])
  const elsewhere = Object.assign(new Error('It is not there.'), {
    name: 'Refusal',
    status: 404,
    field: null,
  })
  expect(
    await answered(
      answerTo(() => {
        throw elsewhere
      }),
    ),
  ).toEqual([404, { sentence: 'It is not there.', field: null }])
})

test('what the core refuses is bad input; a fault of the program is not dressed up as one', async () => {
  expect(
    await answered(
      answerTo(() => {
        throw new RangeError('length: expected more.')
      }),
    ),
  ).toEqual([400, { sentence: 'length: expected more.', field: null }])
  const said = jest.spyOn(process.stderr, 'write').mockReturnValue(true)
  const fault = () => {
    throw new TypeError('a fault')
  }
  const full = () => {
    throw Object.assign(new Error('database or disk is full'), { code: 'SQLITE_FULL' })
  }
  // Only what is one transaction is known to have left nothing behind.
  expect(await answered(answerTo(fault))).toEqual([
    500,
    {
      sentence:
        'The program failed at this. Look in the history whether it was written. What was logged before is safe.',
      field: null,
    },
  ])
  expect(await answered(answerTo(fault, true))).toEqual([
    500,
    {
      sentence: 'The program failed at this. Nothing of this was written. What was logged before is safe.',
      field: null,
    },
  ])
  expect(await answered(answerTo(full, true))).toEqual([
    507,
    { sentence: 'The disk is full. Nothing of this was written. Make room, and try again.', field: null },
  ])
  expect(said.mock.calls.flat().join('')).toContain('a fault')
  said.mockRestore()
})

test('ids in a path are whole numbers', () => {
  expect(idFrom('42', 'gone')).toBe(42)
  for (const text of ['', '-1', '4.2', '1e3', 'x', '99999999999'])
    expect(() => idFrom(text, 'There is none.')).toThrow('There is none.')
})

test('lengths are read in the unit of the house unless they bring their own', () => {
  expect(readLength('24 3/8', 'in', CUT)).toBeCloseTo(0.619125, 9)
  expect(readLength('62 cm', 'in', CUT)).toBeCloseTo(0.62, 9)
  expect(readLength('10 m', 'mm', CUT)).toBe('The cut of 10000 mm can’t be right; expected 50 mm to 8000 mm.')
  expect(lengthOf('41 thou', 'mm')).toBeCloseTo(0.0010414, 9)
})
