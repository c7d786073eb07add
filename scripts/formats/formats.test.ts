/** The formats are told as they are: every field that is written stands in the schema, and the pages are current. */
import { readFileSync } from 'node:fs'
import { readShelf } from '@/data/demo/shelf-files'
import { toInstrumentFile } from '@/data/instruments/instrument-file'
import { formatsDoc, instrumentSchema } from './formats'

interface Schema {
  readonly properties: Readonly<Record<string, Schema>>
  readonly definitions: Readonly<Record<string, Schema>>
  readonly minimum?: number
  readonly maximum?: number
  readonly enum?: readonly unknown[]
  readonly $ref?: string
  readonly items?: Schema
}
const schema = instrumentSchema() as Schema

function misfits(value: unknown, told: Schema | undefined, at: string): readonly string[] {
  if (!told) return [`${at} is not told`]
  if (told.$ref) return misfits(value, schema.definitions[told.$ref.split('/').at(-1)!], at)
  if (Array.isArray(value)) return value.flatMap((one, i) => misfits(one, told.items, `${at}.${i}`))
  if (typeof value === 'object' && value !== null)
    return Object.entries(value).flatMap(([key, one]) => misfits(one, told.properties?.[key], `${at}.${key}`))
  if (typeof value === 'number' && (value < (told.minimum ?? value) || value > (told.maximum ?? value)))
    return [`${at} is out of bounds`]
  if (value !== null && told.enum && !told.enum.includes(value)) return [`${at} is no word of it`]
  return []
}

test('every instrument of the shelf is as the schema tells it, and one that is not is found', () => {
  for (const instrument of readShelf('demo').instruments) {
    const file = JSON.parse(JSON.stringify(toInstrumentFile(instrument))) as object
    expect(misfits(file, schema, instrument.slug)).toEqual([])
  }
  const [first] = readShelf('demo').instruments
  const file = toInstrumentFile(first!)
  const wrong = {
    ...file,
    positions: [{ ...file.positions[0], pin: { ...file.positions[0]!.pin, diameterMm: 99 } }],
  }
  expect(misfits(wrong, schema, 'x')).toEqual(['x.positions.0.pin.diameterMm is out of bounds'])
})

test('docs/FORMATS.md and the schema are current: npm run formats', () => {
  expect(readFileSync('docs/FORMATS.md', 'utf8')).toBe(formatsDoc())
  expect(JSON.parse(readFileSync('docs/instrument.schema.json', 'utf8'))).toEqual(
    JSON.parse(JSON.stringify(instrumentSchema())),
  )
})
