/**
 * What docs/FORMATS.md and docs/instrument.schema.json say, made from the code that reads and writes the files.
 */
import 'reflect-metadata'
import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js'
import { targetConstructorToSchema, validationMetadatasToSchemas } from 'class-validator-jsonschema'
import type { ValidationMetadata } from 'class-validator/types/metadata/ValidationMetadata'
import { ARCHIVED, type ArchiveColumn } from '@/data/archive/columns'
import { ARCHIVE_README } from '@/data/archive/readme'
import { InstrumentFile } from '@/data/instruments/instrument-file'

const DEFINITIONS = '#/definitions/'
/** The classes that an instrument's file is made of. */
const PARTS = [
  'ConstructionFile',
  'PinFile',
  'TailFile',
  'PointFile',
  'PlaceFile',
  'PositionFile',
  'CoveringFile',
] as const

/** The JSON Schema of an instrument’s file. */
export function instrumentSchema(): object {
  const options = {
    classTransformerMetadataStorage: defaultMetadataStorage as never,
    refPointerPrefix: DEFINITIONS,
    additionalConverters: {
      within: ({ constraints }: ValidationMetadata) => {
        const [minimum, maximum] = constraints as unknown as readonly [number, number]
        return { type: 'number' as const, minimum, maximum }
      },
    },
  }
  const all = validationMetadatasToSchemas(options)
  return {
    $schema: 'http://json-schema.org/draft-07/schema#',
    title: 'An instrument of Taut Pinset, lengths in millimetres',
    ...targetConstructorToSchema(InstrumentFile, options),
    additionalProperties: false,
    definitions: Object.fromEntries(
      PARTS.map((part) => [part, { ...all[part], additionalProperties: false }]),
    ),
  }
}

/** docs/FORMATS.md. */
export function formatsDoc(): string {
  return `# Open formats

Made by \`npm run formats\` from the code that reads and writes them; do not edit by hand.

| What | Out | In |
|---|---|---|
| Everything | *House, Archive*: one zip, below | the same page; shows first what it will do |
| An instrument | *String chart, JSON*: [its schema](instrument.schema.json) | *Instruments, New* |
| A chart | *String chart, CSV* | *String chart, Import CSV*: any columns and units, mapped |
| A catalogue | *Suppliers*, a supplier, CSV | the same page, mapped |
| An order | *Orders*, an order: text and CSV | – |
| Dates | *House, Dates*: iCalendar, to take away or to subscribe to on this machine | iCalendar |

## The archive

${ARCHIVE_README.split('\n').slice(2).join('\n').trim()}

### Tables

An asterisk: always has a value.

${ARCHIVED.map(({ name, columns }) => `**${name}**: ${columns.map(columnWord).join(', ')}`).join('\n\n')}
`
}

function columnWord({ heading, required }: ArchiveColumn): string {
  return `\`${heading}\`${required ? '\\*' : ''}`
}
