/** Words and numbers to ask with: what people write, and what nobody should. */

export const pick = <T>(from: readonly T[], random: () => number): T =>
  from[Math.floor(random() * from.length)] as T

export const INSTRUMENTS = [
  'lovage',
  'borage',
  'fennel',
  'chervil',
  'teasel',
  'bistort',
  'yarrow',
  'orris',
] as const
export const SUPPLIERS = ['weir-and-wharf', 'gannet-street', 'the-post-barrow'] as const

export const ID_LIKE: readonly string[] = [...INSTRUMENTS, ...SUPPLIERS, 'nettle', 'constructor', '__proto__']

export const LENGTHS: readonly string[] = [
  '640',
  '0.64 mm',
  '1,2',
  '1 m',
  '.041 in',
  '41 thou',
  '1 3/8 in',
  '0',
  '-5 mm',
  '1000 m',
  '1e9',
  '1/0',
  'long',
  '9'.repeat(400),
]

export const WORDS: readonly string[] = [
  'C4',
  'gut',
  '12.50',
  '1e19',
  '7',
  '1, 3-5',
  'becket',
  'wraps',
  'Drawer A4',
  'Ada',
  '2026-11-25',
  '2026-11-25T10:00',
  '09:00',
  'equal',
  'least time',
  'the harp by the window',
  'Łódź, 弦, ñandú',
  '',
  '   ',
  'constructor',
  'toString',
]

/** What people write into fields of these names. */
export const BY_FIELD: Readonly<Record<string, readonly string[]>> = {
  'notes|note': ['C2 to C7', 'C4', 'C4 D4 E4', 'G3'],
  lengths: ['1: 300\n2: 280', '640 mm, 600 mm', '1200 1100 1000'],
  'postage|freeOver|price': ['4.50', '12,50', '0', '1e19', '1e292', '99999999999999', ''],
  material: ['gut', 'nylon 6.12', 'steel', 'copper on steel'],
  'gauge|core|bedding|wrap|speaking|free|length': ['0.64', '1.10', '640', '0.3', '', '1000000'],
  colour: ['natural', 'red', 'black'],
  class: ['concert', 'lever', 'folk'],
  end: ['plain', 'loop'],
  'pieces|stock|count': ['1', '3', '100000', '-1'],
  'asked|maker|line|label|place|name|owner|model': ['Ada', 'Drawer A4', 'Packet 7', 'Bench'],
  number: ['1', '5', '12', '99'],
  step: ['make-ready', 'take-off', 'wind', 'to-pitch', 'log'],
  what: ['gauge', 'cut', 'wraps', 'turns', 'cents'],
  'value|text': ['1.1', '640', '3', '-12', '40000'],
  of: ['house', 'instrument', 'job'],
  key: ['wraps', 'becket', 'hand', 'tail', 'thin'],
  'date|day|at|from|to|begins|ends|on': [
    '2026-11-25',
    '2026-11-25T10:00',
    '2026-11-26',
    '0000-00-00',
    '275760-09-13',
  ],
}

const HOSTILE: readonly unknown[] = [
  null,
  -1,
  0,
  0.5,
  1e308,
  -1e308,
  2 ** 31,
  2 ** 53,
  '',
  ' ',
  '\u0000',
  'a\u202eb',
  '\ud800',
  '__proto__',
  'constructor',
  'x'.repeat(3000),
  '9'.repeat(3000),
  ' '.repeat(3000),
  "'; DROP TABLE action; --",
  '<img src=x onerror=alert(1)>',
  '=1+1',
  '../../etc/passwd',
  [],
  [null],
  [[]],
  [[], {}],
  [{}],
  {},
  { length: 5 },
  { toString: 1 },
  true,
  false,
]

/** Something that nobody should send, or one letter of something long. */
export function hostile(random: () => number): unknown {
  if (random() < 0.02) return deep(4000)
  return structuredClone(pick(HOSTILE, random))
}

/** Lists in lists, many times over. */
function deep(times: number): unknown {
  let value: unknown = 1
  for (let i = 0; i < times; i += 1) value = [value]
  return value
}
