'use client'

import { useEffect, useState, type ChangeEvent, type ReactNode } from 'react'
import type { FirstRows } from '@/core/list/told-rows'

export interface ImportMapping<Column extends string> {
  readonly columns: Readonly<Record<Column, number | null>>
  readonly units: Readonly<Partial<Record<Column, string>>>
}

interface ImportResult<Column extends string, Taken> extends FirstRows<Column> {
  /** Rows that can be taken. */
  readonly taken: readonly Taken[]
}

interface ReadFile<Mapping> {
  readonly header: readonly string[]
  readonly rows: number
  readonly mapping: Mapping
}

/** What reads a file, off the main thread. */
interface FileReading<Column extends string, Mapping, Taken> {
  /** @throws Error with a sentence when the file can't be read */
  readonly read: (bytes: Uint8Array) => Promise<ReadFile<Mapping>>
  readonly carryOut: (
    mapping: Mapping,
    onProgress: (done: number) => void,
  ) => Promise<ImportResult<Column, Taken>>
  readonly end: () => void
}

interface TableImportProps<Column extends string, Mapping extends ImportMapping<Column>, Taken> {
  readonly title: string
  readonly lead: string
  readonly columns: readonly Column[]
  readonly words: Readonly<Record<Column, string>>
  readonly units: readonly string[]
  /** Starts what reads one file. */
  readonly start: () => FileReading<Column, Mapping, Taken>
  /** What becomes of the rows that can't be taken, in a sentence. */
  readonly remainder: (result: ImportResult<Column, Taken>, rows: number) => string
  /** More to be said of the mapping than columns and units. */
  readonly more?: (mapping: Mapping, change: (mapping: Mapping) => void) => ReactNode
  readonly onTake: (taken: readonly Taken[], mapping: Mapping) => void
  readonly onClose: () => void
}

/** A table out of a file of any make: choose, map, look, and only then take it. */
export function TableImport<Column extends string, Mapping extends ImportMapping<Column>, Taken>(
  props: TableImportProps<Column, Mapping, Taken>,
) {
  const { title, lead, columns, words, start, remainder, more, onTake, onClose } = props
  const [file, setFile] = useState<ChosenFile<Column, Mapping, Taken> | null>(null)
  const [mapping, setMapping] = useState<Mapping | null>(null)
  const [reading, setReading] = useState<string | null>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const { result, done } = useCarriedOut(file, mapping)
  useEffect(() => () => file?.by.end(), [file])

  const choose = async (event: ChangeEvent<HTMLInputElement>) => {
    const chosen = event.target.files?.[0]
    if (!chosen) return
    const by = start()
    setReading(chosen.name)
    setProblem(null)
    try {
      const { mapping: guessed, ...read } = await by.read(new Uint8Array(await chosen.arrayBuffer()))
      setFile({ name: chosen.name, by, ...read })
      setMapping(guessed)
    } catch (error) {
      by.end()
      setFile(null)
      setMapping(null)
      setProblem(`${chosen.name}: ${(error as Error).message}`)
    }
    setReading(null)
  }
  const count = result?.taken.length ?? 0

  return (
    <section className="sheet p-4 md:p-5" aria-label={title}>
      <h2 className="text-xl font-semibold">{title}</h2>
      <p className="text-soft">{lead}</p>
      <div className="mt-3 flex flex-wrap items-center gap-3">
        <label className="button">
          Choose a file
          <input
            type="file"
            accept=".csv,.txt,.tsv,.xlsx,.ods,text/csv,text/plain"
            className="sr-only"
            onChange={choose}
          />
        </label>
        <button type="button" className="button" onClick={onClose}>
          Leave it
        </button>
        {file && (
          <span className="text-sm text-soft">
            {file.name}: {file.rows.toLocaleString('en-GB')} rows, {file.header.length} columns
          </span>
        )}
        {reading && (
          <span role="status" className="text-sm text-soft">
            Reading {reading}…
          </span>
        )}
      </div>
      {problem && (
        <p role="alert" className="mt-3 border-l-4 border-ochre bg-ochre-wash px-3 py-2 font-semibold">
          {problem}
        </p>
      )}
      {file && mapping && (
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
                    {file.header.map((name, i) => (
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
          {result ? (
            <>
              <Preview columns={columns} words={words} result={result} />
              <ProblemList words={words} result={result} />
              <div className="mt-4 flex flex-wrap items-center gap-3 border-t border-ink pt-3">
                <button
                  type="button"
                  className="button button-main"
                  disabled={count === 0}
                  onClick={() => onTake(result.taken, mapping)}
                >
                  Take over {count === 1 ? 'one row' : `${count.toLocaleString('en-GB')} rows`}
                </button>
                <span className="text-sm text-soft">{remainder(result, file.rows)}</span>
              </div>
            </>
          ) : (
            <label className="mt-4 block text-sm">
              Row {done.toLocaleString('en-GB')} of {file.rows.toLocaleString('en-GB')}
              <progress
                className="mt-1 block h-2 w-full max-w-md accent-verdigris"
                value={done}
                max={file.rows}
              />
            </label>
          )}
        </>
      )}
    </section>
  )
}

interface ChosenFile<Column extends string, Mapping, Taken> extends Omit<ReadFile<Mapping>, 'mapping'> {
  readonly name: string
  readonly by: FileReading<Column, Mapping, Taken>
}

/** The file carried out by a mapping; while it is, how many rows are through. */
function useCarriedOut<Column extends string, Mapping, Taken>(
  file: ChosenFile<Column, Mapping, Taken> | null,
  mapping: Mapping | null,
) {
  const [got, setGot] = useState<{
    readonly of: Mapping
    readonly result: ImportResult<Column, Taken>
  } | null>(null)
  const [through, setThrough] = useState<{ readonly of: Mapping; readonly done: number } | null>(null)
  useEffect(() => {
    if (!file || !mapping) return
    let isOver = false
    void file.by
      .carryOut(mapping, (done) => {
        if (!isOver) setThrough({ of: mapping, done })
      })
      .then((result) => {
        if (!isOver) setGot({ of: mapping, result })
      })
    return () => {
      isOver = true
    }
  }, [file, mapping])
  return {
    result: got && got.of === mapping ? got.result : null,
    done: through && through.of === mapping ? through.done : 0,
  }
}

function Preview<Column extends string>({
  columns,
  words,
  result: { preview, counts },
}: {
  readonly columns: readonly Column[]
  readonly words: Readonly<Record<Column, string>>
  readonly result: ImportResult<Column, unknown>
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
          {preview.map(({ line, cells, wrong }) => (
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
      {counts.preview > preview.length && (
        <p className="text-xs text-soft">
          and {(counts.preview - preview.length).toLocaleString('en-GB')} more rows
        </p>
      )}
    </div>
  )
}

function ProblemList<Column extends string>({
  words,
  result: { problems, counts },
}: {
  readonly words: Readonly<Record<Column, string>>
  readonly result: ImportResult<Column, unknown>
}) {
  if (counts.problems === 0) return null
  return (
    <div className="mt-4" role="alert">
      <h3 className="font-semibold text-ochre">
        {counts.problems.toLocaleString('en-GB')} {counts.problems === 1 ? 'thing' : 'things'} can’t be read
      </h3>
      <div className="max-h-60 overflow-y-auto" tabIndex={0} role="group" aria-label="What can’t be read">
        <ul className="ruled text-sm">
          {problems.map(({ line, column, sentence }) => (
            <li key={`${line}${column}`} className="py-1">
              <strong>
                Line {line}, {words[column].toLowerCase()}:
              </strong>{' '}
              {sentence}
            </li>
          ))}
          {counts.problems > problems.length && (
            <li className="py-1 text-soft">
              and {(counts.problems - problems.length).toLocaleString('en-GB')} more
            </li>
          )}
        </ul>
      </div>
    </div>
  )
}
