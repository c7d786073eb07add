'use client'

import { Search } from 'lucide-react'
import { memo, useId, useRef, useState, type FormEvent } from 'react'
import { useHotkeys } from 'react-hotkeys-hook'
import type { Instrument } from '@/core/instrument/instrument'
import { readName, type NameReading } from '@/core/instrument/read-name'

interface NameBoxProps {
  readonly instrument: Instrument
  readonly onPick: (number: number) => void
}

/** Takes a string's name in any scheme, and asks which was meant when it can be two. */
export const NameBox = memo(function NameBox({ instrument, onPick }: NameBoxProps) {
  const [text, setText] = useState('')
  const [readings, setReadings] = useState<readonly NameReading[]>([])
  const [problem, setProblem] = useState<string | null>(null)
  const box = useRef<HTMLInputElement>(null)
  const helpId = useId()
  useHotkeys('/', (event) => { event.preventDefault(); box.current?.focus() }, { useKey: true })

  const choose = (reading: NameReading) => {
    onPick(reading.number)
    setReadings([])
    setText('')
  }
  const submit = (event: FormEvent) => {
    event.preventDefault()
    setProblem(null)
    setReadings([])
    try {
      const found = readName(text, instrument)
      const pieces = new Set(found.map((r) => instrument.positions[r.number - 1]?.piece))
      const [only] = found
      if (!only) setProblem(`${instrument.name} has no string called “${text.trim()}”.`)
      else if (pieces.size === 1) choose(only)
      else setReadings(found)
    } catch (error) {
      setProblem((error as RangeError).message)
    }
  }

  return (
    <form onSubmit={submit} className="relative" role="search">
      <label className="flex items-stretch">
        <span className="sr-only">A string’s name or number</span>
        <input
          ref={box} value={text} onChange={(event) => setText(event.target.value)} className="entry" placeholder="4th-octave A, A3, 25"
          aria-invalid={problem !== null} aria-describedby={problem || readings.length ? helpId : undefined} autoComplete="off" autoCapitalize="none" spellCheck={false}
        />
        <button type="submit" className="button -ml-px shrink-0"><Search size={18} aria-hidden /> Find</button>
      </label>
      <div id={helpId} aria-live="polite">
        {problem && <p className="mt-1 text-sm text-ochre">{problem}</p>}
        {readings.length > 0 && (
          <div className="sheet absolute inset-x-0 top-full z-20 mt-2 p-4 shadow-lg">
            <p className="font-semibold">Which did you mean by “{text.trim()}”?</p>
            <ul className="ruled mt-2">
              {readings.map((reading) => (
                <li key={reading.number}><button type="button" className="min-h-11 w-full text-left hover:underline" onClick={() => choose(reading)}>{reading.means}</button></li>
              ))}
            </ul>
          </div>
        )}
      </div>
    </form>
  )
})
