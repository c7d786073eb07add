'use client'

import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useCallback, useDeferredValue, useMemo, useState, type FormEvent } from 'react'
import { X } from 'lucide-react'
import { counted } from '@/core/list/counted'
import { pages } from '@/boundary/paths'
import { clueKey, type Clue } from '@/core/identify/clue'
import { nextClues, type NextClue } from '@/core/identify/next-clue'
import { contradicting, posterior, ranking } from '@/core/identify/posterior'
import { readClues, type BenchFacts } from '@/core/identify/read-clues'
import { clueWords, howToFind } from '@/core/identify/tell'
import type { Instrument } from '@/core/instrument/instrument'
import { itemAt } from '@/core/list/item-at'
import { PhraseText } from '@/ui/figure/PhraseText'
import { FieldDrawing, FieldFrame } from '@/drawings/field/FieldDrawing'
import { fieldShape } from '@/drawings/field/field-shape'
import { WeightedStrings } from '@/drawings/field/WeightedStrings'
import { useLayAtHand } from '@/ui/find/at-hand'
import { useStoredState } from '@/ui/kept/use-stored-state'
import { BackLink } from '@/ui/shell/BackLink'
import { useWorkshop } from '@/ui/units'
import { ChoiceClues } from './ChoiceClues'
import { ColouredClue, CountClue, GaugeClue, PiecesClue, PitchClue } from './MeasuredClues'
import { BESIDE, EXAMINATION, SEEN } from './questions'
import { Ranking } from './Ranking'

/** Standard errors of what a gauge is measured with, m. */
const CALLIPERS = {
  'digital calliper, ±0.01 mm': 1e-5,
  'dial or vernier calliper, ±0.03 mm': 3e-5,
  'plain vernier or gauge plate, ±0.05 mm': 5e-5,
} as const
type Calliper = keyof typeof CALLIPERS

const NOTHING_SAID: readonly Clue[] = []

interface WhichStringProps {
  readonly instrument: Instrument
  readonly broken: readonly number[]
}

/** Clues in, a ranking of strings out, and the clue that would help most. */
export function WhichString({ instrument, broken }: WhichStringProps) {
  const { gaugeUnit } = useWorkshop()
  const router = useRouter()
  useLayAtHand(
    instrument,
    useCallback(
      (number: number) => router.push(pages.instrument(instrument.slug, number)),
      [router, instrument.slug],
    ),
  )
  const [clues, setClues] = useStoredState(`clues on ${instrument.slug}`, NOTHING_SAID)
  const [calliper, setCalliper] = useState<Calliper>('digital calliper, ±0.01 mm')
  const weighed = useDeferredValue(clues)
  const error = CALLIPERS[calliper]
  const ranked = useMemo(() => ranking(instrument, weighed), [instrument, weighed])
  const atOdds = useMemo(() => contradicting(instrument, weighed), [instrument, weighed])
  const next = useMemo(() => nextClues(instrument, weighed, error), [instrument, weighed, error])
  const shape = useMemo(() => fieldShape(instrument), [instrument])
  const weights = useMemo(
    () => Object.fromEntries(posterior(instrument, weighed).map((chance, i) => [i + 1, chance])),
    [instrument, weighed],
  )
  const bench: BenchFacts = {
    unit: gaugeUnit,
    gaugeError: error,
    referenceA: instrument.referenceA,
    longestIsLeft: instrument.strung === 'as usual',
  }

  const give = (...given: readonly Clue[]) =>
    setClues((had) =>
      given.reduce<readonly Clue[]>(
        (all, clue) => [...all.filter((c) => clueKey(c) !== clueKey(clue)), clue],
        had,
      ),
    )
  const take = (key: string) => setClues((had) => had.filter((clue) => clueKey(clue) !== key))
  const choice = { clues, onGive: give, onTake: take }
  const dyed = instrument.positions.some((p) => p.colour !== 'natural')

  return (
    <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,30rem)] lg:grid-rows-[auto_1fr]">
      <section className="sheet p-4 md:p-5" aria-label="What is known">
        <div className="flex flex-wrap items-start justify-between gap-2">
          <BackLink to={pages.instrument(instrument.slug)}>{instrument.name}</BackLink>
          <Link className="button" href={pages.drill('which', instrument.slug)}>
            Practise it
          </Link>
        </div>
        <h1 className="text-2xl font-semibold">Which string is it?</h1>
        <p className="text-soft">
          Say whatever you know about it. Nothing is required, and anything may be wrong; it is all weighed
          together.
        </p>
        <TypedClues bench={bench} onGive={give} />
        <GivenClues
          clues={clues}
          atOdds={clues === weighed ? atOdds : []}
          onTake={take}
          onBeginAgain={() => setClues(NOTHING_SAID)}
        />
        <NextClueCard next={next} begun={clues.length > 0} />
      </section>
      <section
        className="sheet p-4 md:p-5 lg:sticky lg:top-4 lg:col-start-2 lg:row-span-2 lg:row-start-1 lg:max-h-[calc(100dvh-2rem)] lg:overflow-y-auto"
        aria-label="What it can be"
      >
        <FieldFrame
          shape={shape}
          title={`${instrument.name}: the likelier a string, the heavier its band`}
          className="mx-auto h-48 max-w-full md:h-64"
        >
          <FieldDrawing shape={shape} broken={broken} />
          {clues.length > 0 && <WeightedStrings shape={shape} weights={weights} />}
        </FieldFrame>
        <div aria-live="polite">
          {clues.length === 0 ? (
            <p className="mt-3 text-center text-soft">
              Any of the {counted(instrument.positions.length, 'string')}, until you say something about it.
            </p>
          ) : (
            <Ranking instrument={instrument} ranked={ranked} clues={weighed} />
          )}
        </div>
      </section>
      <section className="sheet px-4 py-1 md:px-5" aria-label="Clues, one by one">
        <div className="grid gap-x-8 md:grid-cols-2">
          <div className="ruled">
            {dyed && <ChoiceClues question={SEEN[0]!} {...choice} />}
            {dyed && <ColouredClue onGive={give} />}
            <CountClue last={instrument.positions.length} onGive={give} />
            <ChoiceClues question={SEEN[1]!} {...choice} />
            <div>
              <GaugeClue bench={bench} onGive={give} />
              <label className="block pb-3 text-sm text-soft">
                Measured with
                <select
                  className="entry mt-1 text-ink"
                  value={calliper}
                  onChange={(event) => setCalliper(event.target.value as Calliper)}
                >
                  {Object.keys(CALLIPERS).map((name) => (
                    <option key={name}>{name}</option>
                  ))}
                </select>
              </label>
            </div>
            <PiecesClue bench={bench} onGive={give} />
          </div>
          <div className="ruled border-t border-rule md:border-t-0">
            {EXAMINATION.map((question) => (
              <ChoiceClues key={question.kind} question={question} {...choice} />
            ))}
            <PitchClue bench={bench} onGive={give} />
            {BESIDE.map((question) => (
              <ChoiceClues key={question.side} question={question} {...choice} />
            ))}
          </div>
        </div>
      </section>
    </div>
  )
}

/** The clue to look for next, and how. */
function NextClueCard({ next, begun }: { readonly next: readonly NextClue[]; readonly begun: boolean }) {
  const [first, ...later] = next
  if (!first) return null
  const { title, how } = howToFind(first)
  return (
    <div className="mt-4 border-l-4 border-verdigris bg-verdigris-wash px-4 py-3" aria-live="polite">
      <p className="label">{begun ? 'What would settle the most now' : 'What settles the most'}</p>
      <h2 className="text-lg font-semibold">{title}</h2>
      <p className="text-sm">
        {how} {betweenWords(first.between)}
      </p>
      {later.length > 0 && (
        <p className="mt-1 text-sm text-soft">
          After that:{' '}
          {later
            .slice(0, 2)
            .map((q) => lowerFirst(howToFind(q).title))
            .join('; ')}
          .
        </p>
      )}
    </div>
  )
}

function betweenWords({ now, then }: { readonly now: number; readonly then: number }): string {
  const about = (strings: number) => strings.toFixed(1).replace(/\.0$/, '')
  return `About ${about(now)} strings are possible now; after this, about ${about(then)}.`
}

const lowerFirst = (text: string) => text.charAt(0).toLowerCase() + text.slice(1)

/** Clues as they come to mind, with commas between them. */
function TypedClues({
  bench,
  onGive,
}: {
  readonly bench: BenchFacts
  readonly onGive: (...clues: readonly Clue[]) => void
}) {
  const [text, setText] = useState('')
  const [unread, setUnread] = useState<readonly string[]>([])
  const submit = (event: FormEvent) => {
    event.preventDefault()
    const read = readClues(text, bench)
    onGive(...read.clues)
    setUnread(read.unread)
    setText(read.unread.join(', '))
  }
  return (
    <form onSubmit={submit} className="mt-3" role="search">
      <label className="flex items-stretch">
        <span className="sr-only">What you know about the string</span>
        <input
          value={text}
          onChange={(event) => setText(event.target.value)}
          className="entry text-lg"
          placeholder="thin, clear, two below a blue one, springs back"
          autoComplete="off"
          autoCapitalize="none"
        />
        <button type="submit" className="button button-main -ml-px shrink-0">
          Weigh it
        </button>
      </label>
      {unread.length > 0 && (
        <p role="alert" className="mt-1 text-sm font-semibold text-ochre">
          Nothing is known here of {unread.map((piece) => `“${piece}”`).join(' or ')}; the rest is weighed.
          Choose below instead.
        </p>
      )}
    </form>
  )
}

/** The clues that are weighed, each to be taken back, and those at odds with the rest named. */
function GivenClues({
  clues,
  atOdds,
  onTake,
  onBeginAgain,
}: {
  readonly clues: readonly Clue[]
  readonly atOdds: readonly number[]
  readonly onTake: (key: string) => void
  readonly onBeginAgain: () => void
}) {
  const odd = atOdds.filter((index) => clues[index])
  return (
    <div>
      {clues.length > 0 && (
        <ul className="mt-3 flex flex-wrap gap-2" aria-label="Clues given">
          {clues.map((clue, i) => (
            <li
              key={clueKey(clue)}
              className={`flex min-h-11 items-center gap-1 border pl-3 text-sm ${odd.includes(i) ? 'border-ochre bg-ochre-wash' : 'border-line'}`}
            >
              <span>
                <PhraseText phrase={clueWords(clue)} />
                {odd.includes(i) && <span className="font-semibold text-ochre"> — at odds</span>}
              </span>
              <button
                type="button"
                onClick={() => onTake(clueKey(clue))}
                className="inline-flex size-11 items-center justify-center"
                aria-label="Take this clue back"
              >
                <X size={16} aria-hidden />
              </button>
            </li>
          ))}
          <li>
            <button
              type="button"
              className="min-h-11 px-2 text-sm underline underline-offset-2"
              onClick={onBeginAgain}
            >
              Begin again
            </button>
          </li>
        </ul>
      )}
      {odd.length > 0 && (
        <p role="alert" className="mt-2 border-l-4 border-ochre bg-ochre-wash px-3 py-2 text-sm">
          {odd.length === 1 ? 'One clue does not go with the rest: ' : 'These do not go together: '}
          {odd.map((index, i) => (
            <span key={index}>
              {i > 0 && ' and '}“<PhraseText phrase={clueWords(itemAt(clues, index))} />”
            </span>
          ))}
          . Look again at {odd.length === 1 ? 'that one' : 'them'} first.
        </p>
      )}
    </div>
  )
}
