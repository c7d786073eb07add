'use client'

import { useMemo, useState, type ChangeEvent } from 'react'
import { CHART_COLUMNS, LENGTH_COLUMNS, type ChartColumn, type LengthColumn } from '@/core/chart/cells'
import type { ChartLine } from '@/core/chart/chart-line'
import { mapRows, type RowProblem } from '@/data/charts/map-rows'
import { guessMapping, type Mapping } from '@/data/charts/mapping'
import { FILE_UNITS, type FileUnit } from '@/data/csv/guess'
import { readTable, textOf, type TextTable } from '@/data/csv/read-table'

const WORDS: Record<ChartColumn, string> = {
  number: 'Number from the top', label: 'Maker’s label', note: 'Note', colour: 'Colour', material: 'Material', gauge: 'Gauge', core: 'Core', bedding: 'Bedding', wrap: 'Wrap', speaking: 'Speaking length', free: 'Free length',
}
const PREVIEWED = 8
const TOLD = 40

interface ImportPanelProps {
  readonly chart: readonly ChartLine[]
  readonly onTake: (lines: readonly ChartLine[]) => void
  readonly onClose: () => void
}

/** A chart from a file of any make: choose, map, look, and only then take it. */
export function ImportPanel({ chart, onTake, onClose }: ImportPanelProps) {
  const [file, setFile] = useState<{ readonly name: string; readonly table: TextTable } | null>(null)
  const [mapping, setMapping] = useState<Mapping | null>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const mapped = useMemo(() => (file && mapping ? mapRows(file.table, mapping, chart) : null), [file, mapping, chart])

  const read = (name: string, text: () => string) => {
    try {
      const table = readTable(text())
      setFile({ name, table })
      setMapping(guessMapping(table))
      setProblem(null)
    } catch (error) {
      setFile(null)
      setMapping(null)
      setProblem(`${name}: ${(error as RangeError).message}`)
    }
  }
  const choose = async (event: ChangeEvent<HTMLInputElement>) => {
    const chosen = event.target.files?.[0]
    if (!chosen) return
    const bytes = new Uint8Array(await chosen.arrayBuffer())
    read(chosen.name, () => textOf(bytes))
  }

  return (
    <section className="sheet p-4 md:p-5" aria-label="Import a chart">
      <h2 className="text-xl font-semibold">A chart from a file</h2>
      <p className="text-soft">CSV with any column names and units. Nothing is written until you take the rows over, and keep the chart after that.</p>
      <div className="mt-3 flex flex-wrap items-center gap-3">
        <label className="button">Choose a file<input type="file" accept=".csv,.txt,.tsv,text/csv,text/plain" className="sr-only" onChange={choose} /></label>
        <button type="button" className="button" onClick={onClose}>Leave it</button>
        {file && <span className="text-sm text-soft">{file.name}: {file.table.rows.length.toLocaleString('en-GB')} rows, {file.table.header.length} columns</span>}
      </div>
      {problem && <p role="alert" className="mt-3 border-l-4 border-ochre bg-ochre-wash px-3 py-2 font-semibold">{problem}</p>}
      {file && mapping && mapped && (
        <>
          <MappingForm table={file.table} mapping={mapping} onChange={setMapping} />
          <Preview preview={mapped.preview} />
          <ProblemList problems={mapped.problems} />
          <div className="mt-4 flex flex-wrap items-center gap-3 border-t border-ink pt-3">
            <button type="button" className="button button-main" disabled={mapped.lines.length === 0} onClick={() => onTake(mapped.lines)}>
              Take over {mapped.lines.length === 1 ? 'one row' : `${mapped.lines.length} rows`}
            </button>
            <span className="text-sm text-soft">{remainder(mapped.lines.length, file.table.rows.length, chart.length)}</span>
          </div>
        </>
      )}
    </section>
  )
}

function remainder(taken: number, rows: number, strings: number): string {
  const left = rows - taken
  return `${left === 0 ? 'Every row can be read.' : `${left.toLocaleString('en-GB')} can’t be taken as they are; they are told above.`} ${taken < strings ? `${strings - taken} strings stay as they are.` : ''}`
}

interface MappingFormProps {
  readonly table: TextTable
  readonly mapping: Mapping
  readonly onChange: (mapping: Mapping) => void
}

function MappingForm({ table, mapping, onChange }: MappingFormProps) {
  const isLength = (column: ChartColumn): column is LengthColumn => (LENGTH_COLUMNS as readonly string[]).includes(column)
  return (
    <fieldset className="mt-4 border-t border-ink pt-2">
      <legend className="pr-3 font-plate text-lg font-semibold">Which column is which</legend>
      <div className="grid gap-x-6 gap-y-3 sm:grid-cols-2 md:grid-cols-3">
        {CHART_COLUMNS.map((column) => (
          <div key={column} className="grid grid-cols-[1fr_auto] items-center gap-x-2 text-sm">
            <label htmlFor={`map-${column}`} className="col-span-2">{WORDS[column]}</label>
            <select
              id={`map-${column}`} className="entry min-h-10 py-1" value={mapping.columns[column] ?? ''}
              onChange={(event) => onChange({ ...mapping, columns: { ...mapping.columns, [column]: event.target.value === '' ? null : Number(event.target.value) } })}
            >
              <option value="">not in the file</option>
              {table.header.map((name, i) => <option key={i} value={i}>{name}</option>)}
            </select>
            {isLength(column) && mapping.columns[column] !== null && (
              <select aria-label={`Unit of ${WORDS[column]}`} className="entry min-h-10 w-20 py-1" value={mapping.units[column]} onChange={(event) => onChange({ ...mapping, units: { ...mapping.units, [column]: event.target.value as FileUnit } })}>
                {FILE_UNITS.map((unit) => <option key={unit}>{unit}</option>)}
              </select>
            )}
          </div>
        ))}
        {mapping.columns.number === null && (
          <div className="text-sm">
            <label htmlFor="map-start">The first row is</label>
            <select id="map-start" className="entry min-h-10 py-1" value={mapping.startsAt} onChange={(event) => onChange({ ...mapping, startsAt: event.target.value as Mapping['startsAt'] })}>
              <option>the shortest</option><option>the longest</option>
            </select>
          </div>
        )}
        {mapping.columns.note !== null && (
          <div className="text-sm">
            <label htmlFor="map-letters">A note such as E4 is meant</label>
            <select id="map-letters" className="entry min-h-10 py-1" value={mapping.letters} onChange={(event) => onChange({ ...mapping, letters: event.target.value as Mapping['letters'] })}>
              <option>as tuned at rest</option><option>as written</option>
            </select>
          </div>
        )}
      </div>
    </fieldset>
  )
}

function Preview({ preview }: { readonly preview: ReturnType<typeof mapRows>['preview'] }) {
  return (
    <div className="mt-4 overflow-x-auto" tabIndex={0} role="group" aria-label="Preview, to be scrolled sideways">
      <table className="w-full text-sm" aria-label="Preview">
        <caption className="text-left font-plate text-lg font-semibold">As it is understood</caption>
        <thead><tr className="border-b border-ink text-left text-xs text-soft"><th scope="col" className="pr-2 font-normal">line</th>{CHART_COLUMNS.map((column) => <th key={column} scope="col" className="pr-2 font-normal">{WORDS[column]}</th>)}</tr></thead>
        <tbody>
          {preview.slice(0, PREVIEWED).map(({ line, cells, wrong }) => (
            <tr key={line} className={`border-b border-rule ${wrong ? 'bg-ochre-wash' : ''}`}>
              <td className="pr-2 text-soft">{line}</td>
              {CHART_COLUMNS.map((column) => <td key={column} className="max-w-40 truncate pr-2 whitespace-nowrap">{cells[column]}</td>)}
            </tr>
          ))}
        </tbody>
      </table>
      {preview.length > PREVIEWED && <p className="text-xs text-soft">and {(preview.length - PREVIEWED).toLocaleString('en-GB')} more rows</p>}
    </div>
  )
}

function ProblemList({ problems }: { readonly problems: readonly RowProblem[] }) {
  if (problems.length === 0) return null
  return (
    <div className="mt-4" role="alert">
      <h3 className="font-semibold text-ochre">{problems.length.toLocaleString('en-GB')} {problems.length === 1 ? 'thing' : 'things'} can’t be read</h3>
      <ul className="ruled max-h-60 overflow-y-auto text-sm">
        {problems.slice(0, TOLD).map(({ line, column, sentence }) => <li key={`${line}${column}`} className="py-1"><strong>Line {line}, {WORDS[column].toLowerCase()}:</strong> {sentence}</li>)}
      </ul>
      {problems.length > TOLD && <p className="text-sm text-soft">and {(problems.length - TOLD).toLocaleString('en-GB')} more</p>}
    </div>
  )
}
