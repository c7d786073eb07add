/**
 * Writes docs/FORMATS.md and docs/instrument.schema.json: `npm run formats`.
 */
import { writeFileSync } from 'node:fs'
import { formatsDoc, instrumentSchema } from './formats'

writeFileSync('docs/FORMATS.md', formatsDoc())
writeFileSync('docs/instrument.schema.json', `${JSON.stringify(instrumentSchema(), null, 2)}\n`)
