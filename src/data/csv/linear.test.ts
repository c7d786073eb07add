/** Whoever reads text reads twice as much in little more than twice the time, whatever stands in it. */
import { readLengths } from '@/core/instrument/read-lengths'
import { readNotes } from '@/core/instrument/read-notes'
import { parseNumbers } from '@/core/instrument/read-numbers'
import { plainWords, wordsOf } from '@/core/names/words'
import { parseNote } from '@/core/pitch/parse-note'
import { parseMoney } from '@/core/stores/money'
import { readScala } from '@/core/temper/scala'
import { parseLength } from '@/core/units/length'
import { typedNumber } from '@/core/units/typed-number'
import { guarded, unguarded } from './formula-guard'
import { readTable, textOf } from './read-table'

const READERS: Readonly<Record<string, (text: string) => unknown>> = {
  'a length': (text) => parseLength(text, 'mm'),
  'a price': parseMoney,
  'a number': typedNumber,
  'a note': parseNote,
  notes: readNotes,
  'numbers of strings': (text) => parseNumbers(text, 47),
  lengths: (text) => readLengths(text, 'mm'),
  'a name': wordsOf,
  'words of a name': plainWords,
  'a temperament': readScala,
  'a table': readTable,
  'a table’s bytes': (text) => textOf(new TextEncoder().encode(text)),
  'a cell that leaves': guarded,
  'a cell that comes': unguarded,
}

const TEXTS: Readonly<Record<string, (size: number) => string>> = {
  digits: (size) => '9'.repeat(size),
  blanks: (size) => `${' '.repeat(size)}x`,
  'blanks and digits': (size) => '1 '.repeat(size / 2),
  commas: (size) => ','.repeat(size),
  'points and digits': (size) => '1.'.repeat(size / 2),
  quotes: (size) => `a,b\n${'"x",'.repeat(size / 4)}1`,
  lines: (size) => `a,b\n${'1: 640,2\n'.repeat(size / 9)}`,
  'empty lines': (size) => '\r\n'.repeat(size / 2),
  letters: (size) => 'C4 to '.repeat(size / 6),
  'what is not seen': (size) => '\u200b'.repeat(size),
}

const SIZE = 100_000
/** What else the machine does meanwhile, ms: whoever takes four times as long for twice as much takes seconds here. */
const BLUR = 60

function quickest(work: () => unknown): number {
  let least = Infinity
  for (let times = 0; times < 4; times += 1) {
    const began = performance.now()
    try {
      work()
    } catch {
      // Refused is read as well.
    }
    least = Math.min(least, performance.now() - began)
  }
  return least
}

describe.each(Object.entries(READERS))('%s', (_, read) => {
  test.each(Object.entries(TEXTS))('from %s', (_name, make) => {
    const [once, twice] = [make(SIZE), make(2 * SIZE)]
    expect(quickest(() => read(twice))).toBeLessThanOrEqual(3 * quickest(() => read(once)) + BLUR)
  })
})

test('what a spreadsheet would take for a formula is guarded, whatever stands before it, and comes back as it was', () => {
  for (const before of ['', ' ', '\t', '\n', '\r\n', '\u00a0', '\u200b', '\ufeff', '\u3000'])
    for (const sign of ['=', '+', '-', '@', '＝', '＋', '－', '＠']) {
      const cell = `${before}${sign}1+1`
      expect(guarded(cell)).toBe(`'${cell}`)
      expect(unguarded(guarded(cell))).toBe(cell)
    }
  for (const cell of ['gut', '1.10', 'A=B', "'tis", '']) expect(unguarded(guarded(cell))).toBe(cell)
})

describe('files that nobody meant', () => {
  const bytes = (text: string) => new TextEncoder().encode(text)
  const wide = (text: string, mark: readonly number[]) =>
    new Uint8Array([...mark, ...Buffer.from(text, 'utf16le')])
  test('a hundred thousand rows are read', () => {
    const table = readTable(textOf(bytes(`note,gauge\n${'C4,1.1\n'.repeat(100_000)}`)))
    expect(table.rows).toHaveLength(100_000)
  })
  test('sixteen bits a sign are read, ends of lines of all kinds too', () => {
    expect(readTable(textOf(wide('note,gauge\r\nC4,1.1\n', [0xff, 0xfe]))).rows).toEqual([['C4', '1.1']])
    expect(readTable('note,gauge\nC4,1.1\r\nD4,1.2\n').rows).toHaveLength(2)
  })
  test.each<[string, Uint8Array, RegExp]>([
    ['ten megabytes', new Uint8Array(10_000_000).fill(65), /The file has 10 MB/],
    ['zeros', bytes('note,gauge\nC4,\u0000'), /This is not a text file/],
    ['nothing', new Uint8Array(0), /The file is empty/],
    ['blanks', bytes(' '.repeat(200_000)), /The file is empty/],
  ])('%s are refused in a sentence', (_, file, said) => {
    expect(() => readTable(textOf(file))).toThrow(said)
  })
})
