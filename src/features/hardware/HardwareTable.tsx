'use client'

import { useCallback } from 'react'
import { HARDWARE, HARDWARE_NAMES, isInWords, type HardwareColumn } from '@/core/hardware/columns'
import { isMarkedAt, useSheet, type SheetEdit } from '@/ui/sheet/use-sheet'
import { commonCell, rangeOf, type HardwareSection } from './use-hardware-draft'

export interface HardwareTableProps {
  readonly columns: readonly HardwareColumn[]
  readonly sections: readonly HardwareSection[]
  readonly unit: 'mm' | 'in'
  readonly nameOf: (section: HardwareSection) => string
  /** How many strings of a section are still assumed in a column. */
  readonly assumedIn: (section: HardwareSection, column: HardwareColumn) => number
  readonly onSet: (numbers: readonly number[], column: HardwareColumn, text: string) => void
  readonly onLook: (section: HardwareSection, column: HardwareColumn) => void
}

/** The hardware as a sheet: a row for each section or string, typed in as the chart is. */
export function HardwareTable({
  columns,
  sections,
  unit,
  nameOf,
  assumedIn,
  onSet,
  onLook,
}: HardwareTableProps) {
  const set = useCallback(
    (edits: readonly SheetEdit<HardwareColumn>[]) => {
      for (const { row, column, text } of edits)
        onSet(sections[row]?.rows.map(({ number }) => number) ?? [], column, text)
    },
    [sections, onSet],
  )
  const { body, handlers, marked, type } = useSheet(sections.length, columns, set)
  return (
    <div className="overflow-x-auto">
      <table className="w-full border-collapse text-sm" aria-label="Hardware">
        <thead>
          <tr className="border-b border-ink text-left align-bottom text-xs text-soft">
            <th scope="col" className="w-24 px-1 pb-1 font-normal">
              Strings
            </th>
            {columns.map((column) => (
              <th
                key={column}
                scope="col"
                className={`px-1 pb-1 font-normal ${isInWords(column) ? 'min-w-36' : 'w-24 text-right'}`}
              >
                {HARDWARE_NAMES[column]}
              </th>
            ))}
          </tr>
        </thead>
        <tbody ref={body} {...handlers}>
          {sections.map((section, i) => (
            <SectionRow
              key={section.from}
              index={i}
              section={section}
              columns={columns}
              name={nameOf(section)}
              assumedIn={assumedIn}
              isTogether={(column) => isMarkedAt(marked, i, column)}
              onType={type}
              onLook={onLook}
            />
          ))}
        </tbody>
      </table>
      <p className="mt-2 text-xs text-soft">
        Lengths in {unit} unless you write the unit. The first letters of a word are enough. Shift and an
        arrow mark cells that you type into together; a block copied from a spreadsheet can be pasted. Ochre
        is assumed.
      </p>
    </div>
  )
}

interface SectionRowProps extends Pick<HardwareTableProps, 'columns' | 'assumedIn' | 'onLook'> {
  readonly index: number
  readonly section: HardwareSection
  readonly name: string
  readonly isTogether: (column: HardwareColumn) => boolean
  readonly onType: (row: number, column: HardwareColumn, text: string) => void
}

function SectionRow({
  index,
  section,
  columns,
  name,
  assumedIn,
  isTogether,
  onType,
  onLook,
}: SectionRowProps) {
  const problem = problemIn(section)
  return (
    <>
      <tr className="sheet-row border-b border-rule">
        <th scope="row" className="px-1 text-left font-semibold whitespace-nowrap">
          {name}
        </th>
        {columns.map((column, at) => {
          const common = commonCell(section.rows, column)
          const edited = section.rows.some((row) => row.edited.includes(column))
          return (
            <td
              key={column}
              className={`p-0 ${isTogether(column) ? 'outline outline-verdigris' : ''} ${edited ? 'bg-verdigris-wash' : assumedIn(section, column) > 0 ? 'bg-ochre-wash' : ''}`}
            >
              <input
                value={common ?? ''}
                placeholder={common === null ? rangeOf(section.rows, column) : undefined}
                data-row={index}
                data-column={at}
                list={listOf(column)}
                aria-label={`${HARDWARE_NAMES[column]}, ${name}`}
                aria-invalid={section.rows.some(({ problems }) => problems[column] !== undefined)}
                onFocus={() => onLook(section, column)}
                onChange={(event) => onType(index, column, event.target.value)}
                className={`block h-9 w-full min-w-0 bg-transparent px-1 focus:bg-paper focus:outline-2 focus:outline-verdigris aria-[invalid=true]:bg-ochre-wash aria-[invalid=true]:outline-2 aria-[invalid=true]:outline-ochre ${isInWords(column) ? '' : 'text-right'}`}
                autoComplete="off"
                spellCheck={false}
                inputMode={isInWords(column) ? undefined : 'decimal'}
              />
            </td>
          )
        })}
      </tr>
      {problem && (
        <tr>
          <td />
          <td colSpan={columns.length} className="px-1 py-1 text-sm font-semibold text-ochre">
            <span role="alert">{problem}</span>
          </td>
        </tr>
      )}
    </>
  )
}

/** The first thing in a section that can’t be read. */
function problemIn({ rows }: HardwareSection): string | undefined {
  return rows.flatMap(({ problems }) => Object.values(problems))[0]
}

/** The id of the list of words that a column takes. */
export function listOf(column: HardwareColumn): string | undefined {
  return HARDWARE[column].is === 'word' ? `words-of-${column}` : undefined
}
