'use client'

import { useState, type FormEvent, type ReactNode } from 'react'
import type { AskedKind, Clue, Side } from '@/core/identify/clue'
import { readClues, type BenchFacts } from '@/core/identify/read-clues'
import { howToFind } from '@/core/identify/tell'
import { Choice } from '@/ui/form/Choice'
import { Entry } from '@/ui/form/Entry'

interface MeasuredCluesProps {
  readonly bench: BenchFacts
  readonly onGive: (clue: Clue) => void
}

/** A small form that gives one clue; what can't be read gets its sentence, and stays as it was typed. */
function ClueForm({
  kind,
  side = null,
  children,
  read,
  onGive,
}: {
  readonly kind: AskedKind
  readonly side?: Side | null
  readonly children: (problem: string | undefined) => ReactNode
  readonly read: (form: FormData) => Clue | string
  readonly onGive: (clue: Clue) => void
}) {
  const [problem, setProblem] = useState<string | undefined>()
  const { title, how } = howToFind({ kind, side })
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault()
    const clue = read(new FormData(event.currentTarget))
    if (typeof clue === 'string') return setProblem(clue)
    setProblem(undefined)
    onGive(clue)
  }
  return (
    <form onSubmit={submit} noValidate className="py-3" aria-label={title}>
      <h3 className="font-text font-semibold">{title}</h3>
      <p className="text-sm text-soft">{how}</p>
      <div className="mt-2 grid gap-2 [&_label]:text-sm [&_label]:font-normal">{children(problem)}</div>
    </form>
  )
}

const GIVE = (
  <button type="submit" className="button justify-self-start">
    Weigh it
  </button>
)

/** The measured gauge of the old string. */
export function GaugeClue({ bench, onGive }: MeasuredCluesProps) {
  const read = (form: FormData): Clue | string => {
    const [clue] = readClues(`gauge ${String(form.get('gauge'))}`, bench).clues
    return clue?.kind === 'gauge'
      ? { ...clue, worn: form.get('state') === 'used' }
      : `Expected a gauge such as “0.86 mm”, “.034 in” or “34 thou”, got “${String(form.get('gauge'))}”.`
  }
  return (
    <ClueForm kind="gauge" read={read} onGive={onGive}>
      {(problem) => (
        <>
          <div className="grid gap-2 grid-cols-[1fr_8rem] items-end">
            <Entry
              label={`Gauge, ${bench.unit} unless you write the unit`}
              name="gauge"
              inputMode="decimal"
              problem={problem}
            />
            <Choice label="The string was" name="state" options={['used', 'new']} />
          </div>
          {GIVE}
        </>
      )}
    </ClueForm>
  )
}

/** The length of all pieces together. */
export function PiecesClue({ bench, onGive }: MeasuredCluesProps) {
  const read = (form: FormData): Clue | string => {
    const [clue] = readClues(`pieces ${String(form.get('pieces'))}`, bench).clues
    return clue?.kind === 'pieces'
      ? clue
      : `Expected a length such as “620 mm” or “24 3/8 in”, got “${String(form.get('pieces'))}”.`
  }
  return (
    <ClueForm kind="pieces" read={read} onGive={onGive}>
      {(problem) => (
        <>
          <Entry label="In all" name="pieces" inputMode="decimal" problem={problem} />
          {GIVE}
        </>
      )}
    </ClueForm>
  )
}

/** A count from one end. */
export function CountClue({
  last,
  onGive,
}: {
  readonly last: number
  readonly onGive: (clue: Clue) => void
}) {
  const read = (form: FormData): Clue | string => {
    const number = Number(form.get('number'))
    if (!Number.isInteger(number) || number < 1 || number > last)
      return `Expected a whole number from 1 to ${last}, got “${String(form.get('number'))}”.`
    return { kind: 'counted', from: form.get('from') === 'the bottom' ? 'bottom' : 'top', number }
  }
  return (
    <ClueForm kind="counted" read={read} onGive={onGive}>
      {(problem) => (
        <>
          <div className="grid gap-2 grid-cols-[1fr_8rem] items-end">
            <Entry label="Number" name="number" inputMode="numeric" problem={problem} />
            <Choice label="From" name="from" options={['the top', 'the bottom']} />
          </div>
          {GIVE}
        </>
      )}
    </ClueForm>
  )
}

/** The nearest coloured string and the steps from it. */
export function ColouredClue({ onGive }: { readonly onGive: (clue: Clue) => void }) {
  const read = (form: FormData): Clue | string => {
    const steps = Number(form.get('steps'))
    if (!Number.isInteger(steps) || steps < 1 || steps > 6)
      return `Expected one to six steps, got “${String(form.get('steps'))}”.`
    return {
      kind: 'coloured neighbour',
      seen: form.get('colour') === 'red' ? 'red' : 'dark',
      away: form.get('way') === 'below' ? steps : -steps,
    }
  }
  return (
    <ClueForm kind="coloured neighbour" read={read} onGive={onGive}>
      {(problem) => (
        <>
          <div className="grid gap-2 grid-cols-[4rem_6rem_1fr]">
            <Entry label="Steps" name="steps" inputMode="numeric" problem={problem} />
            <Choice label="Lies" name="way" options={['below', 'above']} />
            <Choice label="A string that’s" name="colour" options={['red', 'black or blue']} />
          </div>
          {GIVE}
        </>
      )}
    </ClueForm>
  )
}

/** The sound of a neighbour, as a note or in Hz. */
export function PitchClue({ bench, onGive }: MeasuredCluesProps) {
  const [side, setSide] = useState<Side>('longer')
  const read = (form: FormData): Clue | string => {
    const [clue] = readClues(`the next ${side} sounds ${String(form.get('pitch'))}`, bench).clues
    return clue?.kind === 'neighbour’s pitch'
      ? clue
      : `Expected a note with its scientific octave or a frequency, such as “G4” or “392 Hz”, got “${String(form.get('pitch'))}”.`
  }
  return (
    <ClueForm kind="neighbour’s pitch" side={side} read={read} onGive={onGive}>
      {(problem) => (
        <>
          <div className="grid gap-2 grid-cols-[1fr_8rem] items-end">
            <Entry label="It sounds (scientific octave, or Hz)" name="pitch" problem={problem} />
            <Choice
              label="The next string that is"
              options={['longer', 'shorter']}
              value={side}
              onChange={(event) => setSide(event.target.value as Side)}
            />
          </div>
          {GIVE}
        </>
      )}
    </ClueForm>
  )
}
