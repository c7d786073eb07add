/**
 * Which column of a file is which of the chart's, and what its bare numbers are counted in; guessed from the header and
 * then the person's to change.
 */
import { CHART_COLUMNS, type ChartColumn } from '@/core/chart/cells'
import { itemAt } from '@/core/list/item-at'
import { LENGTH_COLUMNS, type LengthColumn } from '@/core/strings/written-lengths'
import { startsAt } from './as-written'
import { HEADERS } from './chart-csv'
import type { FileUnit } from '@/core/units/file-unit'
import { guessColumns, guessUnit } from '../../csv/guess'
import type { TextTable } from '../../csv/read-table'

export interface Mapping {
  /** Index of the file's column; null where the file has none and the chart keeps what it has. */
  readonly columns: Readonly<Record<ChartColumn, number | null>>
  readonly units: Readonly<Record<LengthColumn, FileUnit>>
  /** Where the file numbers no strings: which end its first row is. */
  readonly startsAt: 'the shortest' | 'the longest'
  /** Makers write the letters alone: an E4 on an instrument tuned in flats is then the string that sounds E-flat at rest. */
  readonly letters: 'as tuned at rest' | 'as written'
}

const WORDS: Record<ChartColumn, RegExp> = {
  number:
    /^(?:nº|n[úu]mero|numéro|numero|no\.?|nr\.?|num(?:ber)?|string|string n(?:o\.?|umber)|#|pos(?:ition)?|n°|saite|corde)$|number/,
  asked: /make and line|brand|string maker/,
  label: /label|maker.?s|code|name/,
  note: /^nota$|note|pitch|tone|ton$/,
  colour: /colou?r|dye|farbe|couleur|colore/,
  material: /material|made of|type|stuff|stoff|matière|matériau|materiale/,
  gauge: /gauge|diam|diám|thick|ø|calib|stärke|durchmesser|grosor|spessore|épaisseur/,
  core: /core|kern|âme|anima|alma/,
  bedding: /bedding|under.?lay/,
  wrap: /wrap|wind|cover|umspinn|filage|entorch|rivest/,
  speaking: /speaking|sounding|vibrating|scale|^length|length$|mensur|länge|longueur|lunghezza|longitud/,
  free: /free|overall|total|pin.?to|full/,
}

/** The order in which columns are given away: the surer word first. */
const BY_SURENESS: readonly ChartColumn[] = [
  'asked',
  'core',
  'bedding',
  'wrap',
  'free',
  'speaking',
  'gauge',
  'number',
  'colour',
  'material',
  'note',
  'label',
]

/** A mapping to begin with. */
export function guessMapping({ header, rows }: TextTable): Mapping {
  const columns = guessColumns(header, CHART_COLUMNS, {
    named: HEADERS,
    words: WORDS,
    bySureness: BY_SURENESS,
  })
  const units = Object.fromEntries(
    LENGTH_COLUMNS.map((column) => {
      const index = columns[column]
      return [
        column,
        index === null
          ? 'mm'
          : guessUnit(
              itemAt(header, index),
              rows.map((row) => row[index] ?? ''),
              column === 'speaking' || column === 'free',
            ),
      ]
    }),
  ) as Record<LengthColumn, FileUnit>
  return {
    columns,
    units,
    startsAt: startsAt({ header, rows, lines: [] }, columns.note),
    letters:
      columns.note !== null && header[columns.note] === HEADERS.note ? 'as written' : 'as tuned at rest',
  }
}
