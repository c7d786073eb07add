'use client'

import { memo, useCallback } from 'react'
import { boundsIn, CHART_COLUMNS, type ChartColumn } from '@/core/chart/cells'
import { isWhole } from '@/core/chart/chart-line'
import { frequency } from '@/core/pitch/note'
import { MARGIN_BOUNDS, tension, utilisation } from '@/core/strings/tension'
import type { LengthUnit } from '@/core/units/length'
import { isMarkedAt, useSheet, type SheetEdit } from '@/ui/sheet/use-sheet'
import type { CellEdit, DraftRow } from './use-chart-draft'

type TypedColumn = Exclude<ChartColumn, 'number'>
const TYPED = CHART_COLUMNS.filter((column): column is TypedColumn => column !== 'number')
/** Make and line come after what is reckoned: the figures belong together. */
const BEFORE_RECKONED = TYPED.filter((column) => column !== 'asked')
const HEADS: Record<ChartColumn, string> = {
  number: 'No.',
  label: 'Label',
  note: 'Note',
  colour: 'Colour',
  material: 'Material',
  gauge: 'Gauge',
  core: 'Core',
  bedding: 'Bedding',
  wrap: 'Wrap',
  speaking: 'Speaking',
  free: 'Free',
  asked: 'Make and line',
}
const WIDTHS: Record<ChartColumn, string> = {
  number: 'w-10',
  label: 'w-12',
  note: 'w-20',
  colour: 'w-16',
  material: 'w-36',
  gauge: 'w-16',
  core: 'w-14',
  bedding: 'w-14',
  wrap: 'w-14',
  speaking: 'w-16',
  free: 'w-14',
  asked: 'w-32',
}

/** Columns of words; the others are figures and stand to the right. */
const IN_WORDS: ReadonlySet<ChartColumn> = new Set(['number', 'label', 'note', 'colour', 'material', 'asked'])

interface ChartTableProps {
  readonly rows: readonly DraftRow[]
  readonly referenceA: number
  readonly unit: 'mm' | 'in'
  readonly gaugeUnit: LengthUnit
  /** Numbers that a finding is about. */
  readonly marked: ReadonlySet<number>
  /** What its players call each string, by number from the top, where they count otherwise. */
  readonly called: ReadonlyMap<number, number> | null
  readonly onSet: (edits: readonly CellEdit[]) => void
}

/** The chart as a sheet: type into it, paste into it, move by arrows, Enter and Tab. */
export function ChartTable({ rows, referenceA, unit, gaugeUnit, marked, called, onSet }: ChartTableProps) {
  // Strings are numbered from 1 without a gap.
  const set = useCallback(
    (edits: readonly SheetEdit<TypedColumn>[]) =>
      onSet(edits.map(({ row, column, text }) => ({ number: row + 1, column, text }))),
    [onSet],
  )
  const { body, handlers, marked: typedTogether, type } = useSheet(rows.length, TYPED, set)

  return (
    <div className="overflow-x-auto">
      <table className="w-full min-w-[56rem] border-collapse text-sm" aria-label="String chart">
        <thead>
          <tr className="border-b border-ink text-left text-xs text-soft">
            <Head column="number" unit={unit} />
            {BEFORE_RECKONED.map((column) => (
              <Head key={column} column={column} unit={unit} />
            ))}
            <th scope="col" className="w-10 px-1 pb-1 text-right font-normal">
              N
            </th>
            <th scope="col" className="w-12 px-1 pb-1 text-right font-normal">
              % of strength
            </th>
            <Head column="asked" unit={unit} />
          </tr>
        </thead>
        <tbody ref={body} {...handlers}>
          {rows.map((row, i) => (
            <ChartRow
              key={row.number}
              row={row}
              index={i}
              referenceA={referenceA}
              isMarked={marked.has(row.number)}
              called={called?.get(row.number) ?? null}
              typedTogether={
                typedTogether && isMarkedAt(typedTogether, i, typedTogether.column)
                  ? typedTogether.column
                  : null
              }
              onType={type}
            />
          ))}
        </tbody>
      </table>
      <p className="mt-2 text-xs text-soft">
        {gaugeUnit === unit ? `Lengths in ${unit}` : `Lengths in ${unit}, gauges in ${gaugeUnit}`} unless you
        write the unit. Arrows, Enter and Tab move; Shift and an arrow mark cells that you type into together;
        a block copied from a spreadsheet can be pasted at any cell.
        {called &&
          ' The chart counts from the top; under each number stands what its players call the string.'}
      </p>
    </div>
  )
}

function Head({ column, unit }: { readonly column: ChartColumn; readonly unit: 'mm' | 'in' }) {
  return (
    <th
      scope="col"
      title={boundsIn(column, unit) ?? undefined}
      className={`px-1 pb-1 font-normal ${IN_WORDS.has(column) ? '' : 'text-right'} ${WIDTHS[column]}`}
    >
      {HEADS[column]}
    </th>
  )
}

interface ChartRowProps {
  readonly row: DraftRow
  readonly index: number
  readonly referenceA: number
  readonly isMarked: boolean
  readonly called: number | null
  /** The column of which this row’s cell is typed into with others. */
  readonly typedTogether: TypedColumn | null
  readonly onType: (row: number, column: TypedColumn, text: string) => void
}

const ChartRow = memo(function ChartRow({
  row,
  index,
  referenceA,
  isMarked,
  called,
  typedTogether,
  onType,
}: ChartRowProps) {
  const { number, cells, line, problems, toKeep } = row
  const pitch = frequency(line.note, referenceA)
  const reckoned = isWhole(line)
    ? {
        force: tension(line.construction, line.speakingLength, pitch),
        share: utilisation(line.construction, line.speakingLength, pitch),
      }
    : null
  const problem = Object.values(problems)[0]
  const swatch =
    cells.colour === 'red'
      ? 'border-string-c'
      : cells.colour === 'natural'
        ? 'border-transparent'
        : 'border-string-f'
  const cell = (column: TypedColumn) => (
    <td
      key={column}
      className={`p-0 ${typedTogether === column ? 'bg-verdigris-wash outline outline-verdigris' : ''}`}
    >
      <input
        value={cells[column]}
        data-row={index}
        data-column={TYPED.indexOf(column)}
        aria-label={`${HEADS[column]} of string ${number}`}
        aria-invalid={problems[column] !== undefined}
        aria-describedby={problem ? `line-${number}-problem` : undefined}
        readOnly={column === 'gauge' && line.construction?.kind === 'wound'}
        onChange={(event) => onType(index, column, event.target.value)}
        className={`block h-9 w-full min-w-0 bg-transparent px-1 read-only:text-soft focus:bg-paper focus:outline-2 focus:outline-verdigris aria-[invalid=true]:bg-ochre-wash aria-[invalid=true]:outline-2 aria-[invalid=true]:outline-ochre ${IN_WORDS.has(column) ? '' : 'text-right'}`}
        autoComplete="off"
        spellCheck={false}
        inputMode={column === 'gauge' || column === 'speaking' || column === 'free' ? 'decimal' : undefined}
      />
    </td>
  )
  return (
    <>
      <tr
        id={`line-${number}`}
        className={`sheet-row border-b border-rule ${toKeep !== null ? 'bg-verdigris-wash' : isMarked ? 'bg-ochre-wash' : ''}`}
      >
        <th scope="row" className={`border-l-4 px-1 text-left font-semibold ${swatch}`}>
          {number}
          {called !== null && (
            <span className="block text-xs font-normal whitespace-nowrap text-soft">string {called}</span>
          )}
        </th>
        {BEFORE_RECKONED.map(cell)}
        <td className="px-1 text-right">{reckoned ? reckoned.force.toFixed(0) : '–'}</td>
        <td
          className={`px-1 text-right ${reckoned && reckoned.share > MARGIN_BOUNDS.shortLived ? 'font-semibold text-ochre' : ''}`}
        >
          {reckoned ? (reckoned.share * 100).toFixed(0) : '–'}
        </td>
        {cell('asked')}
      </tr>
      {problem && (
        <tr>
          <td />
          <td
            id={`line-${number}-problem`}
            colSpan={13}
            className="px-1 py-1 text-sm font-semibold text-ochre"
          >
            <span role="alert">{problem}</span>
          </td>
        </tr>
      )}
    </>
  )
})
