'use client'

import { useCallback, useMemo } from 'react'
import {
  hardwareCells,
  hardwareOf,
  readHardware,
  type HardwareCells,
  type HardwareProblems,
} from '@/core/hardware/cells'
import { HARDWARE_COLUMNS, type HardwareColumn } from '@/core/hardware/columns'
import { hardwareRuns, type Run } from '@/core/hardware/sections'
import type { Instrument } from '@/core/instrument/instrument'
import { useStoredState } from '@/ui/kept/use-stored-state'
import { typedOver } from '@/ui/sheet/typed-over'

export interface HardwareRow {
  readonly number: number
  readonly cells: HardwareCells
  /** Null while something in it can't be read. */
  readonly toKeep: HardwareCells | null
  readonly problems: HardwareProblems
  readonly edited: readonly HardwareColumn[]
  /** Columns that are looked at and right as they stand. */
  readonly confirmed: readonly HardwareColumn[]
}

/** Strings that are typed together: one, or a run of them with the same fastenings and kind of pin. */
export interface HardwareSection extends Run {
  readonly rows: readonly HardwareRow[]
}

interface Draft {
  readonly edits: Readonly<Record<number, Partial<HardwareCells>>>
  readonly confirmed: Readonly<Record<number, readonly HardwareColumn[]>>
}
const UNTOUCHED: Draft = { edits: {}, confirmed: {} }
const NONE: readonly HardwareColumn[] = []

export interface HardwareDraft {
  readonly rows: readonly HardwareRow[]
  readonly sections: readonly HardwareSection[]
  readonly changed: readonly HardwareRow[]
  readonly set: (numbers: readonly number[], column: HardwareColumn, text: string) => void
  readonly confirm: (numbers: readonly number[], columns: readonly HardwareColumn[]) => void
  readonly putBack: () => void
}

/** The hardware as it is being typed: nothing is written until it is kept, and nothing typed is lost by leaving the page. */
export function useHardwareDraft(instrument: Instrument, unit: 'mm' | 'in'): HardwareDraft {
  const [draft, setDraft] = useStoredState(`hardware of ${instrument.slug}`, UNTOUCHED)
  const base = useMemo(
    () =>
      instrument.positions.map((p) => ({
        number: p.number,
        cells: hardwareCells(hardwareOf(p), unit),
        kept: hardwareCells(hardwareOf(p), 'mm'),
      })),
    [instrument, unit],
  )
  const rows = useMemo(
    () => base.map((row) => rowOf(row, draft.edits[row.number], draft.confirmed[row.number] ?? NONE, unit)),
    [base, draft, unit],
  )
  // As kept, so that no row moves under the hand that types.
  const runs = useMemo(() => hardwareRuns(instrument.positions), [instrument])
  const sections = useMemo(
    () => runs.map(({ from, to }) => ({ from, to, rows: rows.slice(from - 1, to) })),
    [runs, rows],
  )
  const changed = useMemo(
    () => rows.filter(({ edited, confirmed }) => edited.length > 0 || confirmed.length > 0),
    [rows],
  )
  const set = useCallback(
    (numbers: readonly number[], column: HardwareColumn, text: string) =>
      setDraft((had) => ({
        ...had,
        edits: {
          ...had.edits,
          ...Object.fromEntries(numbers.map((n) => [n, { ...had.edits[n], [column]: text }])),
        },
      })),
    [setDraft],
  )
  const confirm = useCallback(
    (numbers: readonly number[], columns: readonly HardwareColumn[]) =>
      setDraft((had) => ({
        ...had,
        confirmed: {
          ...had.confirmed,
          ...Object.fromEntries(
            numbers.map((n) => [n, [...new Set([...(had.confirmed[n] ?? []), ...columns])]]),
          ),
        },
      })),
    [setDraft],
  )
  const putBack = useCallback(() => setDraft(UNTOUCHED), [setDraft])
  return { rows, sections, changed, set, confirm, putBack }
}

interface BaseRow {
  readonly number: number
  /** As shown. */
  readonly cells: HardwareCells
  /** As kept, in mm. */
  readonly kept: HardwareCells
}

function rowOf(
  { number, cells, kept }: BaseRow,
  edits: Partial<HardwareCells> | undefined,
  confirmed: readonly HardwareColumn[],
  unit: 'mm' | 'in',
): HardwareRow {
  if (!edits) return { number, cells, edited: NONE, confirmed, toKeep: kept, problems: {} }
  const now = { ...cells, ...edits }
  const edited = HARDWARE_COLUMNS.filter((column) => now[column] !== cells[column])
  const { line, problems } = readHardware(number, now, unit)
  const toKeep = line && typedOver(kept, hardwareCells(line, 'mm'), edited)
  return { number, cells: now, edited, confirmed, toKeep, problems }
}

/** What all rows of a section have in a column; null where they differ. */
export function commonCell(rows: readonly HardwareRow[], column: HardwareColumn): string | null {
  const [first, ...more] = rows
  const text = first?.cells[column] ?? ''
  return more.every(({ cells }) => cells[column] === text) ? text : null
}

/** What a section has in a column where its strings differ: from the first string to the last. */
export function rangeOf(rows: readonly HardwareRow[], column: HardwareColumn): string {
  const short = (row: HardwareRow | undefined) => {
    const text = row?.cells[column] ?? ''
    return text !== '' && Number.isFinite(Number(text)) ? String(Number(Number(text).toPrecision(4))) : text
  }
  return `${short(rows[0])}…${short(rows.at(-1))}`
}
