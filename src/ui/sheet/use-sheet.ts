'use client'

import {
  useCallback,
  useRef,
  useState,
  type ClipboardEvent,
  type FocusEvent,
  type KeyboardEvent,
  type RefObject,
} from 'react'

/** One cell to set: its row counted from 0, and its column. */
export interface SheetEdit<Column> {
  readonly row: number
  readonly column: Column
  readonly text: string
}

/** Cells of one column that are typed into together; the hand is at the first one marked. */
export interface Marked<Column> {
  readonly column: Column
  readonly at: number
  readonly to: number
}

export interface Sheet<Column> {
  readonly body: RefObject<HTMLTableSectionElement | null>
  /** For the table’s body. */
  readonly handlers: {
    readonly onKeyDown: (event: KeyboardEvent<HTMLTableSectionElement>) => void
    readonly onPaste: (event: ClipboardEvent<HTMLTableSectionElement>) => void
    readonly onFocus: (event: FocusEvent<HTMLTableSectionElement>) => void
  }
  readonly marked: Marked<Column> | null
  /** What is typed into a cell, and with it into all that are marked with it. */
  readonly type: (row: number, column: Column, text: string) => void
}

/**
 * A table to type in as in a spreadsheet: arrows, Enter and Tab move, Shift and an arrow mark cells that are typed into
 * together, a copied block is pasted at any cell. Every cell is an input with `data-row` and `data-column`.
 *
 * @param rows - how many there are
 * @param columns - that are typed in, in their order
 */
export function useSheet<Column extends string>(
  rows: number,
  columns: readonly Column[],
  onSet: (edits: readonly SheetEdit<Column>[]) => void,
): Sheet<Column> {
  const body = useRef<HTMLTableSectionElement>(null)
  const [marked, setMarked] = useState<Marked<Column> | null>(null)

  const focus = (row: number, column: number) => {
    const cell = body.current?.querySelector<HTMLInputElement>(
      `input[data-row="${row}"][data-column="${column}"]`,
    )
    cell?.focus()
    cell?.select()
  }

  const onKeyDown = (event: KeyboardEvent<HTMLTableSectionElement>) => {
    const input = event.target as HTMLInputElement
    const place = placeOf(input)
    if (!place) return
    const [row, column] = place
    const name = columns[column]
    if (event.shiftKey && (event.key === 'ArrowDown' || event.key === 'ArrowUp') && name !== undefined) {
      event.preventDefault()
      const down = event.key === 'ArrowDown'
      const from = marked?.column === name && marked.at === row ? marked.to : row
      const to = event.ctrlKey ? (down ? rows - 1 : 0) : from + (down ? 1 : -1)
      setMarked({ column: name, at: row, to: Math.min(rows - 1, Math.max(0, to)) })
      return
    }
    const isClearing = event.key === 'Delete' || event.key === 'Backspace'
    if (isClearing && name !== undefined && marked?.at === row && marked.column === name) {
      event.preventDefault()
      onSet(rowsOf(marked, row, name).map((one) => ({ row: one, column: name, text: '' })))
      return
    }
    if (event.key === 'Escape' && marked) {
      event.preventDefault()
      setMarked(null)
      return
    }
    const to = moveOf(event, input, place, rows)
    if (!to) return
    event.preventDefault()
    focus(to[0], to[1])
  }

  const onPaste = (event: ClipboardEvent<HTMLTableSectionElement>) => {
    const text = event.clipboardData.getData('text/plain')
    const place = placeOf(event.target as HTMLInputElement)
    if (!place || !/[\t\n]/.test(text.trim())) return
    event.preventDefault()
    const [row, column] = place
    onSet(
      text
        .replace(/\r/g, '')
        .replace(/\n$/, '')
        .split('\n')
        .flatMap((line, down) =>
          line.split('\t').flatMap((cell, right): SheetEdit<Column>[] => {
            const name = columns[column + right]
            return row + down >= rows || name === undefined
              ? []
              : [{ row: row + down, column: name, text: cell.trim() }]
          }),
        ),
    )
  }

  const onFocus = (event: FocusEvent<HTMLTableSectionElement>) => {
    const place = placeOf(event.target as unknown as HTMLInputElement)
    setMarked((had) => (had && place && had.at === place[0] && had.column === columns[place[1]] ? had : null))
  }

  const type = useCallback(
    (row: number, column: Column, text: string) =>
      onSet(rowsOf(marked, row, column).map((one) => ({ row: one, column, text }))),
    [marked, onSet],
  )
  return { body, handlers: { onKeyDown, onPaste, onFocus }, marked, type }
}

/** Whether a cell is one of those that are marked. */
export function isMarkedAt<Column>(marked: Marked<Column> | null, row: number, column: Column): boolean {
  return rowsOf(marked, marked?.at ?? -1, column).includes(row) && marked?.column === column
}

function rowsOf<Column>(marked: Marked<Column> | null, row: number, column: Column): readonly number[] {
  if (!marked || marked.column !== column || marked.at !== row) return [row]
  const [first, last] = [Math.min(marked.at, marked.to), Math.max(marked.at, marked.to)]
  return Array.from({ length: last - first + 1 }, (_, i) => first + i)
}

type Place = readonly [row: number, column: number]

function placeOf({ dataset }: HTMLInputElement): Place | null {
  return dataset.row === undefined ? null : [Number(dataset.row), Number(dataset.column)]
}

/** Where a key leads to from a cell; null where it stays in it. */
function moveOf(
  event: KeyboardEvent,
  input: HTMLInputElement,
  [row, column]: Place,
  rows: number,
): Place | null {
  const { selectionStart: start, selectionEnd: end, value } = input
  const all = start === 0 && end === value.length
  switch (event.key) {
    case 'ArrowDown':
      return [row + 1, column]
    case 'ArrowUp':
      return [row - 1, column]
    case 'Enter':
      return [row + (event.shiftKey ? -1 : 1), column]
    case 'ArrowLeft':
      return all || (start === 0 && end === 0) ? [row, column - 1] : null
    case 'ArrowRight':
      return all || (start === value.length && end === value.length) ? [row, column + 1] : null
    case 'Home':
      return event.ctrlKey ? [0, column] : null
    case 'End':
      return event.ctrlKey ? [rows - 1, column] : null
    default:
      return null
  }
}
