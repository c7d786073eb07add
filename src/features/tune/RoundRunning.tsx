'use client'

import { useCallback, useMemo, useRef, useState } from 'react'
import { pages } from '@/boundary/paths'
import { itemAt } from '@/core/list/item-at'
import { noteWord } from '@/core/pitch/note'
import { keyBetween } from '@/core/ear/key-between'
import { pluckedSound, SIMULATED_RATE } from '@/core/ear/simulated-sound'
import { turnerOf } from '@/core/fitting/hands'
import { withThe } from '@/core/instrument/with-the'
import type { SoundboardModel } from '@/core/rounds/soundboard-model'
import { byEar } from '@/core/rounds/by-ear'
import { worstOff } from '@/core/rounds/tuning-round'
import type { StringPosition } from '@/core/instrument/instrument'
import type { RoundBench, RoundTurn } from '@/data/views/round-view'
import { RoundDrawing } from '@/drawings/RoundDrawing'
import { useLayAtHand } from '@/ui/find/at-hand'
import { useWakeLock } from '@/ui/hands-free/use-wake-lock'
import { BackLink } from '@/ui/shell/BackLink'
import { play } from '@/ui/sound/play'
import { useLeadingNames } from '@/ui/use-leading-names'
import { CentsRuler } from './CentsRuler'
import { ByEar } from './ByEar'
import { RoundOver } from './RoundOver'
import { RoundSide } from './RoundSide'
import { simulatedStrings, turnedTo } from './simulated-strings'
import { useRound, type RoundSet } from './use-round'
import { useRoundEar, type StringHeard } from './use-round-ear'
import { centsText, degreesText } from './words'

export interface RoundRunningProps {
  readonly bench: RoundBench
  readonly board: SoundboardModel
  readonly set: RoundSet
  readonly turns: readonly RoundTurn[]
  readonly hearsFirst: boolean
  /** Nothing of it is kept. */
  readonly isPractice: boolean
  readonly refused: string | null
  readonly onLog: (turn: RoundTurn, name: string) => void
  readonly onEnd: () => void
}

/** What an ear and a hand can do in a moment, cents. */
const NEAREST = 1
/** Less than this past pitch is not worth a word, cents. */
const WORTH_SAYING = 0.4

/** A round that goes on: one string at a time, and all of them on one sheet. */
export function RoundRunning(props: RoundRunningProps) {
  const { bench, board, set, turns, isPractice, onEnd } = props
  const { instrument } = bench
  const { positions } = instrument
  const leadingNames = useLeadingNames()
  useWakeLock()
  const [picked, setPicked] = useState<number | null>(null)
  useLayAtHand(
    instrument,
    useCallback(
      (number: number) => setPicked(instrument.positions.findIndex((one) => one.number === number)),
      [instrument],
    ),
  )
  const round = useRound(bench, board, set, turns)
  const [hears, setHears] = useState(props.hearsFirst)
  const [skipped, setSkipped] = useState<ReadonlySet<number>>(new Set())
  const [heard, setHeard] = useState<StringHeard | null>(null)
  /** How the string whose turn it is was found, before it was turned. */
  const found = useRef<{ readonly string: number; readonly cents: number } | null>(null)
  const loggedPluck = useRef<number | null>(null)
  const [simulated, setSimulated] = useState(() => simulatedStrings(bench, 5))

  const earSteps = useMemo(() => byEar(bench.strings), [bench.strings])
  const through = hears ? round.heard : round.tuned
  const order = hears ? positions.map((_, i) => i).toReversed() : round.order
  const next = order.find((i) => !through.has(i) && !skipped.has(i)) ?? null
  const now = picked ?? next
  const nameOf = (i: number) => leadingNames(itemAt(positions, i)).name
  /** With what it sounds at rest, where that is not what its letter says. */
  const soundingName = (i: number) => {
    const { note } = itemAt(positions, i)
    return note.accidental === 0 ? nameOf(i) : `${nameOf(i)}, which sounds ${noteWord(note)}`
  }
  const aim = now === null || hears ? 0 : round.aimOf(now)
  const near = Math.max(NEAREST, set.within / 2)

  const log = (turn: RoundTurn) => {
    found.current = null
    setPicked(null)
    setHeard(null)
    props.onLog(turn, nameOf(turn.string))
  }
  const take = (one: StringHeard) => {
    // A pluck is read three times while it rings; the string before is not taken for this one’s turn.
    if (one.pluck === loggedPluck.current) return
    if (one.string !== now) setPicked(one.string)
    const isUntouched = found.current?.string !== one.string
    const foundAt = isUntouched ? one.cents : (found.current?.cents ?? one.cents)
    found.current = { string: one.string, cents: foundAt }
    setHeard(one)
    const aimed = hears ? null : round.aimOf(one.string)
    // One that was found in tune is let be; one that is turned is brought nearer than it need be.
    if (aimed !== null && Math.abs(one.cents - aimed) > (isUntouched ? set.within : near)) return
    loggedPluck.current = one.pluck
    log({
      string: one.string,
      found: tenth(foundAt),
      left: aimed === null ? null : tenth(one.cents),
    })
  }
  const listening = useRoundEar(instrument, set.temperament, now ?? 0, take)
  const { ear, take: takeHeard, targets } = listening

  const pluckSimulated = async (string: number, all = simulated) => {
    const hz = itemAt(targets, string) * 2 ** (itemAt(all.standing, string) / 1200)
    const samples = pluckedSound(itemAt(positions, string), instrument.referenceA, hz, Math.random)
    play(samples, SIMULATED_RATE)
    loggedPluck.current = null
    const last = await ear.hearAll(samples, SIMULATED_RATE)
    if (last) takeHeard(last)
  }
  /** This string where it should be and another where it stands, at once: what one listens for. */
  const bothSounds = (string: number, other: number) => {
    const stands = isPractice ? (simulated.standing[other] ?? 0) : 0
    const sound = (i: number, cents: number) =>
      pluckedSound(
        itemAt(positions, i),
        instrument.referenceA,
        itemAt(targets, i) * 2 ** (cents / 1200),
        Math.random,
      )
    const [one, two] = [sound(string, 0), sound(other, stands)]
    return one.map((sample, i) => (sample + itemAt(two, i)) / 2)
  }
  const turnSimulated = (string: number) => {
    const turned = turnedTo(simulated, string, aim)
    setSimulated(turned)
    void pluckSimulated(string, turned)
  }
  const onListen = useCallback(() => {
    loggedPluck.current = null
    if (ear.isListening) ear.stop()
    else void ear.listen(takeHeard)
  }, [ear, takeHeard])

  const position = now === null ? null : itemAt(positions, now)
  const stands = heard && heard.string === now ? heard.cents : null
  const last = turns.at(-1)
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[minmax(0,1fr)_20rem]">
      <section className="sheet p-4 md:p-5" aria-labelledby="round">
        <div className="flex flex-wrap items-baseline justify-between gap-x-4">
          <BackLink to={pages.instrument(instrument.slug)}>{instrument.name}</BackLink>
          <p className="text-soft">
            {isPractice ? 'Practice: nothing is kept. ' : ''}
            {set.temperament.name}, within {set.within} cents
          </p>
        </div>
        {position === null || now === null ? (
          <RoundOver
            isHearing={hears}
            worst={worstOff(round.standing)}
            within={set.within}
            onTune={() => {
              setHears(false)
              setSkipped(new Set())
            }}
            onEnd={onEnd}
          />
        ) : (
          <>
            <h1 id="round" className="mt-1 text-3xl font-semibold first-letter:uppercase">
              {nameOf(now)}
              <span className="ml-3 font-text text-lg font-normal text-soft">
                {through.size} of {positions.length} {hears ? 'heard' : 'tuned'}
              </span>
            </h1>
            <p className="min-h-6 text-soft first-letter:uppercase">
              {last && `${nameOf(last.string)}: ${lastWords(last)}`}
            </p>
            <div role="status" aria-label="What is heard" aria-live="polite">
              <p className="plate-figure text-6xl leading-tight">
                {stands === null ? '–' : centsText(stands)}
                <span className="ml-2 font-text text-2xl text-soft">cents</span>
              </p>
            </div>
            <CentsRuler position={position} cents={stands} error={0.3} aim={aim} />
            <p className="mt-1 border-t border-rule pt-3 text-2xl font-semibold">
              {hears
                ? 'Pluck it, and turn nothing.'
                : stands === null
                  ? `Pluck it, and leave it ${aimWords(aim)}.`
                  : turnWords(position, itemAt(targets, now), stands, aim)}
            </p>
            {set.order === 'by ear' && !hears && (
              <ByEar
                step={earSteps.find(({ string }) => string === now)}
                nameOf={soundingName}
                tuned={(i) => ({ position: itemAt(positions, i), hz: itemAt(targets, i) })}
                onHear={(other) => play(bothSounds(now, other), SIMULATED_RATE)}
              />
            )}
            <p className="min-h-6 text-soft">
              {!hears && Math.abs(aim) >= WORTH_SAYING
                ? 'The strings that come up after it bring it back to pitch.'
                : ''}
            </p>
          </>
        )}
        <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="All strings">
          <RoundDrawing
            positions={positions}
            found={positions.map((_, i) => round.foundOf(i))}
            standing={positions.map((_, i) => (round.heard.has(i) ? itemAt(round.standing, i) : null))}
            within={set.within}
            now={now}
            describedAs={`Where the strings of ${instrument.name} were found, and where they are taken to stand now`}
            onPick={setPicked}
          />
        </div>
        <p className="text-sm text-soft">
          A bar is where a string was found, a dot where it is taken to stand now, by what the others did
          since. Press on a string, or name it in the box above, to take it next.
        </p>
      </section>
      <RoundSide
        name={now === null ? null : withThe(nameOf(now))}
        hears={hears}
        aim={aim}
        within={set.within}
        ear={ear}
        onListen={onListen}
        isPractice={isPractice}
        refused={props.refused}
        onTyped={(at, left) => {
          if (now !== null) log({ string: now, found: at, left })
        }}
        onSkip={() => {
          if (now === null) return
          setSkipped((had) => new Set([...had, now]))
          setPicked(null)
        }}
        onPluckSimulated={() => now !== null && void pluckSimulated(now)}
        onTurnSimulated={stands === null || hears ? null : () => now !== null && turnSimulated(now)}
        onEnd={onEnd}
      />
    </div>
  )
}

const lastWords = ({ found, left }: RoundTurn) =>
  left === null
    ? `heard at ${centsText(found)}.`
    : `found at ${centsText(found)}, left at ${centsText(left)}.`

const tenth = (cents: number) => Math.round(cents * 10) / 10

const aimWords = (aim: number) => (Math.abs(aim) < WORTH_SAYING ? 'at pitch' : `at ${centsText(aim)} cents`)

/** What to do with the key now. */
function turnWords(position: StringPosition, target: number, stands: number, aim: number): string {
  const at = (cents: number) => target * 2 ** (cents / 1200)
  const degrees = degreesText(keyBetween(position, at(stands), at(aim)))
  const { name } = turnerOf(position.head.pin)
  const { tightens } = position.head.pin
  const other = tightens === 'clockwise' ? 'anticlockwise' : 'clockwise'
  return stands < aim
    ? `Turn ${name} ${degrees} ${tightens}, to ${Math.abs(aim) < WORTH_SAYING ? 'pitch' : centsText(aim)}.`
    : `Let ${name} back ${degrees}, ${other}, and come up again.`
}
