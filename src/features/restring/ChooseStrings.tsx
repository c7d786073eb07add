import { useState, type FormEvent } from 'react'
import { parseNumbers } from '@/core/instrument/read-numbers'
import type { RestringView } from '@/data/views/restring-view'

interface ChooseStringsProps {
  readonly view: RestringView
  readonly chosen: ReadonlySet<number>
  readonly onChoose: (ids: ReadonlySet<number>) => void
}

/** All strings, some sections, or some by their numbers. */
export function ChooseStrings({ view: { pieces, sections }, chosen, onChoose }: ChooseStringsProps) {
  const [typed, setTyped] = useState('')
  const [problem, setProblem] = useState<string | null>(null)
  const within = (from: number, to: number) =>
    pieces.filter(({ id }) => id >= from && id <= to).map(({ id }) => id)
  const set = (ids: readonly number[], on: boolean) => {
    const next = new Set(chosen)
    for (const id of ids) {
      if (on) next.add(id)
      else next.delete(id)
    }
    onChoose(next)
  }
  const take = (event: FormEvent) => {
    event.preventDefault()
    try {
      const numbers = parseNumbers(typed, pieces.at(-1)?.id ?? 0, 'is refused')
      setProblem(null)
      onChoose(new Set(pieces.filter(({ id }) => numbers.includes(id)).map(({ id }) => id)))
    } catch (error) {
      setProblem((error as RangeError).message)
    }
  }
  const runs: readonly (readonly [string, readonly number[]])[] = [
    ['All', pieces.map(({ id }) => id)],
    ...(sections.length < 2
      ? []
      : sections.map(
          ({ word, from, to }) =>
            [`${word}, ${from === to ? from : `${from} to ${to}`}`, within(from, to)] as const,
        )),
  ]
  return (
    <div>
      <fieldset className="flex flex-wrap gap-x-5 gap-y-1">
        <legend className="font-semibold">What to change</legend>
        {runs.map(([word, ids]) => (
          <label key={word} className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-5 accent-verdigris"
              checked={ids.every((id) => chosen.has(id))}
              onChange={(event) => set(ids, event.target.checked)}
            />
            <span className="first-letter:uppercase">{word}</span>
          </label>
        ))}
      </fieldset>
      <form onSubmit={take} className="mt-1 flex flex-wrap items-end gap-2">
        <label className="text-sm">
          Or by their numbers
          <input
            className="entry mt-1"
            value={typed}
            placeholder="1-11, 20, 33"
            aria-invalid={problem !== null}
            onChange={(event) => setTyped(event.target.value)}
          />
        </label>
        <button type="submit" className="button">
          Choose these
        </button>
      </form>
      {problem && (
        <p role="alert" className="mt-1 font-semibold text-ochre">
          {problem}
        </p>
      )}
    </div>
  )
}
