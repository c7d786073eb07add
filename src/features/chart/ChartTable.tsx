'use client'

import { memo, useRef, type ClipboardEvent, type KeyboardEvent } from 'react'
import { CHART_COLUMNS, type ChartColumn } from '@/core/chart/cells'
import { isWhole } from '@/core/chart/chart-line'
import { frequency } from '@/core/pitch/note'
import { MARGIN_BOUNDS, tension, utilisation } from '@/core/strings/tension'
import type { CellEdit, DraftRow } from './use-chart-draft'

const TYPED = CHART_COLUMNS.filter((column) => column !== 'number')
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
  /** Numbers that a finding is about. */
  readonly marked: ReadonlySet<number>
  /** What its players call each string, by number from the top, where they count otherwise. */
  readonly called: ReadonlyMap<number, number> | null
  readonly onSet: (edits: readonly CellEdit[]) => void
}

/** The chart as a sheet: type into it, paste into it, move by arrows, Enter and Tab. */
export function ChartTable({ rows, referenceA, unit, marked, called, onSet }: ChartTableProps) {
  const body = useRef<HTMLTableSectionElement>(null)
  const numbers = rows.map(({ number }) => number)

  const focus = (row: number, column: number) => {
    const cell = body.current?.querySelector<HTMLInputElement>(
      `input[data-row="${row}"][data-column="${column}"]`,
    )
    cell?.focus()
    cell?.select()
  }

  const onKeyDown = (event: KeyboardEvent<HTMLTableSectionElement>) => {
    const input = event.target as HTMLInputElement
    const [row, column] = placeOf(input)
    const atStart = input.selectionStart === 0 && input.selectionEnd === 0
    const atEnd = input.selectionStart === input.value.length && input.selectionEnd === input.value.length
    const all = input.selectionStart === 0 && input.selectionEnd === input.value.length
    const move: Partial<Record<string, readonly [number, number]>> = {
      ArrowDown: [row + 1, column],
      ArrowUp: [row - 1, column],
      Enter: [row + (event.shiftKey ? -1 : 1), column],
      ...(atStart || all ? { ArrowLeft: [row, column - 1] } : {}),
      ...(atEnd || all ? { ArrowRight: [row, column + 1] } : {}),
      ...(event.ctrlKey ? { Home: [0, column], End: [numbers.length - 1, column] } : {}),
    }
    const to = move[event.key]
    if (!to) return
    event.preventDefault()
    focus(to[0], to[1])
  }

  const onPaste = (event: ClipboardEvent<HTMLTableSectionElement>) => {
    const text = event.clipboardData.getData('text/plain')
    if (!/[\t\n]/.test(text.trim())) return
    event.preventDefault()
    const [row, column] = placeOf(event.target as HTMLInputElement)
    onSet(
      text
        .replace(/\r/g, '')
        .replace(/\n$/, '')
        .split('\n')
        .flatMap((line, down) =>
          line.split('\t').flatMap((cell, right): CellEdit[] => {
            const number = numbers[row + down]
            const name = TYPED[column + right]
            return number === undefined || name === undefined
              ? []
              : [{ number, column: name, text: cell.trim() }]
          }),
        ),
    )
  }

  return (
    <div className="overflow-x-auto">
      <table className="w-full min-w-[56rem] border-collapse text-sm" aria-label="String chart">
        <thead>
          <tr className="border-b border-ink text-left text-xs text-soft">
            <Head column="number" />
            {BEFORE_RECKONED.map((column) => (
              <Head key={column} column={column} />
            ))}
            <th scope="col" className="w-10 px-1 pb-1 text-right font-normal">
              N
            </th>
            <th scope="col" className="w-12 px-1 pb-1 text-right font-normal">
              % of strength
            </th>
            <Head column="asked" />
          </tr>
        </thead>
        <tbody ref={body} onKeyDown={onKeyDown} onPaste={onPaste}>
          {rows.map((row, i) => (
            <ChartRow
              key={row.number}
              row={row}
              index={i}
              referenceA={referenceA}
              isMarked={marked.has(row.number)}
              called={called?.get(row.number) ?? null}
              onSet={onSet}
            />
          ))}
        </tbody>
      </table>
      <p className="mt-2 text-xs text-soft">
        Lengths in {unit} unless you write the unit. Arrows, Enter and Tab move; a block copied from a
        spreadsheet can be pasted at any cell.
        {called &&
          ' The chart counts from the top; under each number stands what its players call the string.'}
      </p>
    </div>
  )
}

function Head({ column }: { readonly column: ChartColumn }) {
  return (
    <th
      scope="col"
      className={`px-1 pb-1 font-normal ${IN_WORDS.has(column) ? '' : 'text-right'} ${WIDTHS[column]}`}
    >
      {HEADS[column]}
    </th>
  )
}

function placeOf(input: HTMLInputElement): readonly [row: number, column: number] {
  return [Number(input.dataset.row), Number(input.dataset.column)]
}

interface ChartRowProps {
  readonly row: DraftRow
  readonly index: number
  readonly referenceA: number
  readonly isMarked: boolean
  readonly called: number | null
  readonly onSet: (edits: readonly CellEdit[]) => void
}

const ChartRow = memo(function ChartRow({ row, index, referenceA, isMarked, called, onSet }: ChartRowProps) {
  const { number, cells, line, problems, edited } = row
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
  const cell = (column: Exclude<ChartColumn, 'number'>) => (
    <td key={column} className="p-0">
      <input
        value={cells[column]}
        data-row={index}
        data-column={TYPED.indexOf(column)}
        aria-label={`${HEADS[column]} of string ${number}`}
        aria-invalid={problems[column] !== undefined}
        aria-describedby={problem ? `line-${number}-problem` : undefined}
        readOnly={column === 'gauge' && line.construction?.kind === 'wound'}
        onChange={(event) => onSet([{ number, column, text: event.target.value }])}
        className={`h-8 w-full min-w-0 bg-transparent px-1 read-only:text-soft focus:bg-paper focus:outline-2 focus:outline-verdigris aria-[invalid=true]:bg-ochre-wash aria-[invalid=true]:outline-2 aria-[invalid=true]:outline-ochre ${IN_WORDS.has(column) ? '' : 'text-right'}`}
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
        className={`border-b border-rule ${edited ? 'bg-verdigris-wash' : isMarked ? 'bg-ochre-wash' : ''}`}
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
