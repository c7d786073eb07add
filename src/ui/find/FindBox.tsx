'use client'

import { usePathname, useRouter } from 'next/navigation'
import { lazy, Suspense, useEffect, useId, useRef, useState, type FormEvent, type ReactNode } from 'react'
import { endpoints } from '@/boundary/endpoints'
import { pages } from '@/boundary/paths'
import type { ShelfReading } from '@/core/names/find-on-shelf'
import type { Instrument } from '@/core/instrument/instrument'
import { send } from '../shell/send'
import { useAtHand } from './at-hand'
import { FIND_FIELD } from './find-field'

/** Fetched with the first name that can be two. */
const Readings = lazy(() => import('./Readings').then((module) => ({ default: module.Readings })))

/** Takes a string's name in any scheme, on every screen, and asks which was meant when it can be two. */
export function FindBox({ glass }: { readonly glass: ReactNode }) {
  const atHand = useAtHand()
  const router = useRouter()
  /** On a phone the steps of a job need the room. */
  const onJob = usePathname().startsWith('/jobs/')
  const [text, setText] = useState('')
  const [readings, setReadings] = useState<readonly ShelfReading[]>([])
  const [problem, setProblem] = useState<string | null>(null)
  const form = useRef<HTMLFormElement>(null)
  const helpId = useId()

  const putAway = () => {
    setReadings([])
    setProblem(null)
  }
  useEffect(() => {
    const outside = (event: PointerEvent) => {
      if (!form.current?.contains(event.target as Node)) putAway()
    }
    document.addEventListener('pointerdown', outside)
    return () => document.removeEventListener('pointerdown', outside)
  }, [])

  const choose = ({ slug, number }: ShelfReading) => {
    putAway()
    setText('')
    if (atHand?.instrument.slug === slug) atHand.pick(number)
    else router.push(pages.instrument(slug, number))
  }
  const take = (found: readonly ShelfReading[]) => {
    const [only, another] = found
    if (only && !another) choose(only)
    else setReadings(found)
  }
  const submit = async (event: FormEvent) => {
    event.preventDefault()
    putAway()
    if (text.trim() === '') return
    const here = atHand ? await readHere(text, atHand.instrument) : []
    if (here.length > 0) return take(here)
    const answer = await send(endpoints.find(text, atHand?.instrument.slug ?? null), {})
    if (answer.ok) take(answer.value.readings)
    else setProblem(answer.sentence)
  }

  return (
    <form
      ref={form}
      onSubmit={submit}
      onKeyDown={(event) => {
        if (event.key === 'Escape') putAway()
      }}
      className={`relative w-full pb-2 md:w-44 md:pb-0 xl:w-64 ${onJob ? 'hidden md:block' : ''}`}
      role="search"
      aria-label="Find a string"
    >
      <label className="flex items-stretch">
        <span className="sr-only">A string’s name or number</span>
        <input
          id={FIND_FIELD}
          value={text}
          onChange={(event) => setText(event.target.value)}
          className="entry min-h-10 py-1 text-sm"
          placeholder={
            atHand ? `On ${atHand.instrument.name}: ${exampleOf(atHand.instrument)}` : 'A3, 4th-octave G, 25'
          }
          aria-invalid={problem !== null}
          aria-describedby={problem || readings.length ? helpId : undefined}
          autoComplete="off"
          autoCapitalize="none"
          spellCheck={false}
        />
        <button type="submit" className="button -ml-px min-h-10 shrink-0 px-3 py-1 text-sm">
          {glass} Find
        </button>
      </label>
      <div id={helpId} aria-live="polite">
        {problem && (
          <p className="sheet absolute inset-x-0 top-full z-40 mt-1 px-4 py-3 text-sm font-semibold text-ochre shadow-lg">
            {problem}
          </p>
        )}
        <Suspense>
          {readings.length > 0 && <Readings text={text.trim()} readings={readings} choose={choose} />}
        </Suspense>
      </div>
    </form>
  )
}

/**
 * Strings of the instrument at hand that a text can mean; none when it is no name here. The reader of names is fetched with the
 * first name, so that no page waits for it.
 */
export async function readHere(text: string, instrument: Instrument): Promise<readonly ShelfReading[]> {
  const { findOnShelf } = await import('@/core/names/find-on-shelf')
  try {
    return findOnShelf(text, [instrument])
  } catch {
    return []
  }
}

/** Names as the players of an instrument say them. */
export function exampleOf({ calledBy, positions }: Instrument): string {
  switch (calledBy) {
    case 'harp octave':
      return '4A, A3, 25'
    case 'number':
      return '4, last, A4'
    case 'role':
      return `${positions.at(-1)?.called.role ?? 'bass'}, 2`
  }
}
