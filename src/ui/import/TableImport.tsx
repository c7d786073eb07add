'use client'

import { useMemo, useState, type ChangeEvent, type ReactNode } from 'react'

/** A file as a table of text. */
export interface ImportedTable {
  readonly header: readonly string[]
  readonly rows: readonly (readonly string[])[]
}

export interface ImportMapping<Column extends string> {
  readonly columns: Readonly<Record<Column, number | null>>
  readonly units: Readonly<Partial<Record<Column, string>>>
}

export interface ImportResult<Column extends string> {
  readonly problems: readonly { readonly line: number; readonly column: Column; readonly sentence: string }[]
  readonly preview: readonly {
    readonly line: number
    readonly cells: Readonly<Record<Column, string>>
    readonly wrong: boolean
  }[]
}

interface TableImportProps<
  Column extends string,
  Table extends ImportedTable,
  Mapping extends ImportMapping<Column>,
  Result extends ImportResult<Column>,
> {
  readonly title: string
  readonly lead: string
  readonly columns: readonly Column[]
  readonly words: Readonly<Record<Column, string>>
  readonly units: readonly string[]
  /** Throws a RangeError with a sentence when the file can't be read. */
  readonly read: (bytes: Uint8Array) => Table
  readonly guess: (table: Table) => Mapping
  readonly carryOut: (table: Table, mapping: Mapping) => Result
  /** Rows that can be taken. */
  readonly takeable: (result: Result) => number
  /** What becomes of the rest, in a sentence. */
  readonly remainder: (result: Result, table: Table) => string
  /** More to be said of the mapping than columns and units. */
  readonly more?: (mapping: Mapping, change: (mapping: Mapping) => void) => ReactNode
  readonly onTake: (result: Result, mapping: Mapping) => void
  readonly onClose: () => void
}

const PREVIEWED = 8
const TOLD = 40

/** A table out of a file of any make: choose, map, look, and only then take it. */
export function TableImport<
  Column extends string,
  Table extends ImportedTable,
  Mapping extends ImportMapping<Column>,
  Result extends ImportResult<Column>,
>(props: TableImportProps<Column, Table, Mapping, Result>) {
  const { title, lead, columns, words, guess, carryOut, takeable, remainder, more, onTake, onClose } = props
  const [file, setFile] = useState<{ readonly name: string; readonly table: Table } | null>(null)
  const [mapping, setMapping] = useState<Mapping | null>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const result = useMemo(
    () => (file && mapping ? carryOut(file.table, mapping) : null),
    [file, mapping, carryOut],
  )

  const choose = async (event: ChangeEvent<HTMLInputElement>) => {
    const chosen = event.target.files?.[0]
    if (!chosen) return
    try {
      const table = props.read(new Uint8Array(await chosen.arrayBuffer()))
      setFile({ name: chosen.name, table })
      setMapping(guess(table))
      setProblem(null)
    } catch (error) {
      setFile(null)
      setMapping(null)
      setProblem(`${chosen.name}: ${(error as RangeError).message}`)
    }
  }
  const count = result ? takeable(result) : 0

  return (
    <section className="sheet p-4 md:p-5" aria-label={title}>
      <h2 className="text-xl font-semibold">{title}</h2>
      <p className="text-soft">{lead}</p>
      <div className="mt-3 flex flex-wrap items-center gap-3">
        <label className="button">
          Choose a file
          <input
            type="file"
            accept=".csv,.txt,.tsv,text/csv,text/plain"
            className="sr-only"
            onChange={choose}
          />
        </label>
        <button type="button" className="button" onClick={onClose}>
          Leave it
        </button>
        {file && (
          <span className="text-sm text-soft">
            {file.name}: {file.table.rows.length.toLocaleString('en-GB')} rows, {file.table.header.length}{' '}
            columns
          </span>
        )}
      </div>
      {problem && (
        <p role="alert" className="mt-3 border-l-4 border-ochre bg-ochre-wash px-3 py-2 font-semibold">
          {problem}
        </p>
      )}
      {file && mapping && result && (
        <>
          <fieldset className="mt-4 border-t border-ink pt-2">
            <legend className="pr-3 font-plate text-lg font-semibold">Which column is which</legend>
            <div className="grid gap-x-6 gap-y-3 sm:grid-cols-2 md:grid-cols-3">
              {columns.map((column) => (
                <div key={column} className="grid grid-cols-[1fr_auto] items-center gap-x-2 text-sm">
                  <label htmlFor={`map-${column}`} className="col-span-2">
                    {words[column]}
                  </label>
                  <select
                    id={`map-${column}`}
                    className="entry min-h-10 py-1"
                    value={mapping.columns[column] ?? ''}
                    onChange={(event) =>
                      setMapping({
                        ...mapping,
                        columns: {
                          ...mapping.columns,
                          [column]: event.target.value === '' ? null : Number(event.target.value),
                        },
                      })
                    }
                  >
                    <option value="">not in the file</option>
                    {file.table.header.map((name, i) => (
                      <option key={i} value={i}>
                        {name}
                      </option>
                    ))}
                  </select>
                  {column in mapping.units && mapping.columns[column] !== null && (
                    <select
                      aria-label={`Unit of ${words[column]}`}
                      className="entry min-h-10 w-20 py-1"
                      value={mapping.units[column]}
                      onChange={(event) =>
                        setMapping({ ...mapping, units: { ...mapping.units, [column]: event.target.value } })
                      }
                    >
                      {props.units.map((unit) => (
                        <option key={unit}>{unit}</option>
                      ))}
                    </select>
                  )}
                </div>
              ))}
              {more?.(mapping, setMapping)}
            </div>
          </fieldset>
          <Preview columns={columns} words={words} preview={result.preview} />
          <ProblemList words={words} problems={result.problems} />
          <div className="mt-4 flex flex-wrap items-center gap-3 border-t border-ink pt-3">
            <button
              type="button"
              className="button button-main"
              disabled={count === 0}
              onClick={() => onTake(result, mapping)}
            >
              Take over {count === 1 ? 'one row' : `${count} rows`}
            </button>
            <span className="text-sm text-soft">{remainder(result, file.table)}</span>
          </div>
        </>
      )}
    </section>
  )
}

function Preview<Column extends string>({
  columns,
  words,
  preview,
}: {
  readonly columns: readonly Column[]
  readonly words: Readonly<Record<Column, string>>
  readonly preview: ImportResult<Column>['preview']
}) {
  return (
    <div
      className="mt-4 overflow-x-auto"
      tabIndex={0}
      role="group"
      aria-label="Preview, to be scrolled sideways"
    >
      <table className="w-full text-sm" aria-label="Preview">
        <caption className="text-left font-plate text-lg font-semibold">As it is understood</caption>
        <thead>
          <tr className="border-b border-ink text-left text-xs text-soft">
            <th scope="col" className="pr-2 font-normal">
              line
            </th>
            {columns.map((column) => (
              <th key={column} scope="col" className="pr-2 font-normal">
                {words[column]}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {preview.slice(0, PREVIEWED).map(({ line, cells, wrong }) => (
            <tr key={line} className={`border-b border-rule ${wrong ? 'bg-ochre-wash' : ''}`}>
              <td className="pr-2 text-soft">{line}</td>
              {columns.map((column) => (
                <td key={column} className="max-w-40 truncate pr-2 whitespace-nowrap">
                  {cells[column]}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {preview.length > PREVIEWED && (
        <p className="text-xs text-soft">
          and {(preview.length - PREVIEWED).toLocaleString('en-GB')} more rows
        </p>
      )}
    </div>
  )
}

function ProblemList<Column extends string>({
  words,
  problems,
}: {
  readonly words: Readonly<Record<Column, string>>
  readonly problems: ImportResult<Column>['problems']
}) {
  if (problems.length === 0) return null
  return (
    <div className="mt-4" role="alert">
      <h3 className="font-semibold text-ochre">
        {problems.length.toLocaleString('en-GB')} {problems.length === 1 ? 'thing' : 'things'} can’t be read
      </h3>
      <div className="max-h-60 overflow-y-auto" tabIndex={0} role="group" aria-label="What can’t be read">
        <ul className="ruled text-sm">
          {problems.slice(0, TOLD).map(({ line, column, sentence }) => (
            <li key={`${line}${column}`} className="py-1">
              <strong>
                Line {line}, {words[column].toLowerCase()}:
              </strong>{' '}
              {sentence}
            </li>
          ))}
          {problems.length > TOLD && (
            <li className="py-1 text-soft">and {(problems.length - TOLD).toLocaleString('en-GB')} more</li>
          )}
        </ul>
      </div>
    </div>
  )
}
