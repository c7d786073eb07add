'use client'

import { useRouter } from 'next/navigation'
import { useCallback, useMemo, useRef, useState } from 'react'
import { Mic, MicOff } from 'lucide-react'
import { endpoints } from '@/boundary/endpoints'
import { pages } from '@/boundary/paths'
import { keyTo } from '@/core/ear/key-between'
import type { Heard } from '@/core/ear/listener'
import { nextMark } from '@/core/ear/next-mark'
import { SIMULATED_RATE, simulatedPluck } from '@/core/ear/simulated-sound'
import { voiceOf } from '@/core/ear/string-voice'
import type { Instrument, StringPosition } from '@/core/instrument/instrument'
import { centsAbove } from '@/core/pitch/cents'
import { seeded } from '@/core/random/seeded'
import { fallenInAll, FIRST_TUNED, newLaw } from '@/core/settle/drift'
import { coreMaterial } from '@/core/strings/construction'
import { EQUAL, frequencyIn, type Temperament } from '@/core/temper/temperament'
import { semitonesToBreaking, utilisation } from '@/core/strings/tension'
import { turnerOf } from '@/core/fitting/hands'
import { withThe } from '@/core/instrument/with-the'
import { useLayAtHand } from '@/ui/find/at-hand'
import { useWakeLock } from '@/ui/hands-free/use-wake-lock'
import { BackLink } from '@/ui/shell/BackLink'
import { useAct } from '@/ui/shell/use-act'
import { usePageTurner } from '@/ui/shell/use-page-turner'
import { play } from '@/ui/sound/play'
import { useLeadingNames } from '@/ui/use-leading-names'
import { CentsRuler } from './CentsRuler'
import { FalseTone, type LastLook } from './FalseTone'
import { SimulatorPanel, type SimulatorState } from './SimulatorPanel'
import { useEar } from './use-ear'
import { useFalseTone } from './use-false-tone'
import { useRaising } from './use-raising'
import { BECAUSE, centsText, degreesText, markWords, standsAt } from './words'

interface TuneSheetProps {
  readonly instrument: Instrument
  readonly position: StringPosition
  /** The string that is on it, of which readings are logged; null where there is none. */
  readonly fitted: (OnString & { readonly look: LastLook | null }) | null
  /** The one that the instrument was tuned in last. */
  readonly temperament: Temperament
  /** The house retunes at so many cents. */
  readonly tolerance: number
}

/** A reading less sure than this is not shown, cents. */
const UNSURE = 3
/** Within this it is in tune, cents. */
const IN_TUNE = 2
/** A string that is further off was not found so, but is being raised, cents: there is nothing to log. */
const FOUND = 300
/** The stand-in is as stiff as its material, give or take this share. */
const STIFFNESS = 0.24
/** It begins as far up as a string that was just wound on. */
const JUST_WOUND = 0.3

/** The string that stands in: how far its key is turned, degrees, and how old it is, h. */
interface Simulator {
  readonly turned: number
  readonly is: SimulatorState
  readonly age: number
}

interface OnString {
  readonly fittedId: number
  readonly positionId: number
}

/** One string: what is heard of it, how far to turn, and what of it is logged. */
export function TuneSheet({ instrument, position, fitted, temperament, tolerance }: TuneSheetProps) {
  const { referenceA } = instrument
  const leadingNames = useLeadingNames()
  const router = useRouter()
  useWakeLock()
  usePageTurner()
  useLayAtHand(
    instrument,
    useCallback(
      (number: number) => router.push(pages.instrumentSheet(instrument.slug, 'tune', number)),
      [router, instrument.slug],
    ),
  )
  const target = useMemo(
    () => voiceOf(position, referenceA, frequencyIn(temperament, position.note, referenceA)),
    [position, referenceA, temperament],
  )
  const expected = useMemo(
    () => ({ hz: target.hz, inharmonicity: target.inharmonicity, spread: 3 }),
    [target],
  )
  const ear = useEar(expected)
  const raising = useRaising(position, target.hz)
  const { actLater, refused } = useAct()
  const [found, setFound] = useState<{ readonly cents: number } | null>(null)
  const first = found !== null && Math.abs(found.cents) < FOUND ? found.cents : null
  const stiffness = useMemo(() => 1 + STIFFNESS * (seeded(position.number)() - 0.5), [position.number])
  const justWound: Simulator = {
    turned: JUST_WOUND * keyTo(position, target.hz),
    is: 'taut',
    age: FIRST_TUNED,
  }
  const [stand, setStand] = useState<Simulator>(justWound)
  const falseTone = useFalseTone()

  const reading = ear.heard?.reading ?? null
  const isSure = reading !== null && reading.hz !== null && reading.error <= UNSURE
  const cents = isSure ? centsAbove(reading.hz, target.hz) : null
  const { take } = raising
  const { hear: hearFalse } = falseTone
  const takeIn = useCallback(
    ({ reading: read }: Heard, turned: number | null) => {
      if (read.hz !== null && read.error <= UNSURE) take(read.hz, turned)
    },
    [take],
  )
  /** How far the key was turned since the last reading, by whoever turned it; null where nobody said. */
  const said = useRef<number | null>(null)
  /** Only what the microphone heard is logged, and of that how the string was found, before it was brought back. */
  const takeFromRoom = useCallback(
    (heard: Heard) => {
      const { reading: read } = heard
      if (read.hz === null) return
      // A string that sounds false is never read surely.
      hearFalse(heard.pluck, read)
      if (read.error > UNSURE) return
      takeIn(heard, said.current)
      said.current = null
      const off = centsAbove(read.hz, target.hz)
      setFound((had) => had ?? { cents: off })
    },
    [takeIn, target.hz, hearFalse],
  )

  const pluck = async ({ turned, age }: Simulator, by: number | null) => {
    const law = newLaw(coreMaterial(position.construction).drift)
    const samples = simulatedPluck(
      position,
      turned,
      stiffness,
      referenceA,
      fallenInAll(law, age),
      Math.random,
    )
    if (samples === 'broken' || samples === 'slack') {
      setStand({ turned, age, is: samples })
      return
    }
    play(samples, SIMULATED_RATE)
    const heard = await ear.hearAll(samples, SIMULATED_RATE)
    if (heard && heard.reading.hz !== null && heard.reading.error <= UNSURE)
      raising.take(heard.reading.hz, by)
  }
  const turn = (by: number) => {
    const next: Simulator = { ...stand, turned: Math.max(0, stand.turned + by), is: 'taut' }
    setStand(next)
    void pluck(next, by)
  }
  const wait = (hours: number) => {
    const next: Simulator = { ...stand, age: stand.age + hours }
    setStand(next)
    void pluck(next, null)
  }
  const listen = () => {
    falseTone.begin()
    return ear.listen(takeFromRoom)
  }
  const log = async () => {
    if (!fitted || first === null) return
    const broughtBack = cents !== null && Math.abs(cents) <= IN_TUNE
    const done = await actLater(
      endpoints.logReading,
      {
        fittedId: fitted.fittedId,
        positionId: fitted.positionId,
        cents: Math.round(first * 10) / 10,
        broughtBack,
      },
      `${centsText(first)} cents logged${broughtBack ? ', and that it was brought back' : ''}. It is due again when it has fallen by ${tolerance}.`,
    )
    if (done) setFound(null)
  }

  const stands = cents === null ? null : standsAt(cents)
  const { name } = leadingNames(position)
  const { name: key } = turnerOf(position.head.pin)
  const { tightens } = position.head.pin
  const other = tightens === 'clockwise' ? 'anticlockwise' : 'clockwise'
  const semitones =
    isSure && semitonesToBreaking(utilisation(position.construction, position.speakingLength, reading.hz))

  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[minmax(0,1fr)_20rem]">
      <section className="sheet p-5" aria-labelledby="tune">
        <BackLink to={pages.instrument(instrument.slug, position.number)}>{instrument.name}</BackLink>
        <h1 id="tune" className="text-2xl font-semibold">
          Tune {withThe(name)}
        </h1>
        <p className="text-soft">
          To {target.hz.toFixed(1)} Hz, at rest, with nothing engaged
          {temperament.name === EQUAL.name ? '' : `; ${temperament.name}`}.
        </p>
        <div className="mt-4" role="status" aria-label="What is heard" aria-live="polite">
          <p className="plate-figure text-6xl leading-tight sm:text-7xl">
            {stands === null ? '–' : stands.figure}
            {stands && <span className="ml-2 font-text text-2xl text-soft">{stands.unit}</span>}
          </p>
          <p className="mt-1 min-h-7 text-soft">
            {reading === null
              ? 'Listen with the microphone, or try the stand-in.'
              : isSure
                ? `± ${Math.max(0.1, reading.error).toFixed(1)} cents${reading.because ? `. ${BECAUSE[reading.because]}` : ''}`
                : BECAUSE[reading.because ?? 'too soft']}
          </p>
        </div>
        <CentsRuler position={position} cents={cents} error={isSure ? reading.error : 0} />
        {cents !== null && raising.turn !== null && (
          <p className="mt-2 border-t border-rule pt-3 text-2xl font-semibold sm:text-4xl">
            {Math.abs(cents) <= IN_TUNE
              ? 'In tune.'
              : cents > 0
                ? `Let ${key} back ${degreesText(raising.turn)}, ${other}, and come up again.`
                : `Turn ${key} ${degreesText(raising.turn)} ${tightens}.`}
          </p>
        )}
        {raising.caught && (
          <p role="alert" className="mt-2 border-l-4 border-ochre bg-ochre-wash px-3 py-2 font-semibold">
            That turn should have raised it more. Stop: look for the string caught short of its groove, and
            for a pin that slips.
          </p>
        )}
        {raising.turn !== null && (
          <dl className="mt-3 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
            <dt className="text-soft">Left in all</dt>
            <dd>{degreesText(Math.max(0, raising.left ?? 0))} of the key</dd>
            {cents !== null && cents < -IN_TUNE && (
              <>
                <dt className="text-soft">Next mark</dt>
                <dd>{markWords(nextMark(instrument, position, cents), (one) => leadingNames(one).name)}</dd>
              </>
            )}
            <dt className="text-soft">To breaking</dt>
            <dd>{semitones === false ? '–' : `${semitones.toFixed(1)} semitones from here, by its chart`}</dd>
            <dt className="text-soft">Learned</dt>
            <dd>
              {raising.belief.spread > 0.14
                ? 'nothing yet: the first turns are short of the mark on purpose'
                : `it takes ${Math.round(raising.belief.factor * 100)} % of the turn that its material’s table says, ± ${Math.round(raising.belief.spread * 100)} %`}
            </dd>
          </dl>
        )}
        <p className="mt-4 text-sm text-soft">
          Never turn a pin before you know which string it holds. The angles are estimates from the chart; go
          by what you hear. Keep your face away from a string that is brought up for the first time.
        </p>
      </section>
      <aside className="sheet p-4" aria-label="Listening">
        <button
          type="button"
          className="button button-main w-full"
          onClick={() => (ear.isListening ? ear.stop() : void listen())}
        >
          {ear.isListening ? <MicOff size={18} aria-hidden /> : <Mic size={18} aria-hidden />}
          {ear.isListening ? 'Stop listening' : 'Listen'}
        </button>
        {ear.sentence && (
          <p
            role="alert"
            className="mt-3 border-l-4 border-ochre bg-ochre-wash px-3 py-2 text-sm font-semibold"
          >
            {ear.sentence}
          </p>
        )}
        <p className="mt-2 text-sm text-soft">
          {ear.isListening
            ? 'Pluck this string alone, with a thumb on its neighbour.'
            : 'What is heard stays in this browser: nothing of it is kept or sent.'}
        </p>
        {ear.isListening && cents !== null && cents < -IN_TUNE && raising.turn !== null && (
          <button
            type="button"
            data-go-on
            className="button mt-3 w-full"
            onClick={() => {
              said.current = raising.turn
            }}
          >
            I turned it {degreesText(raising.turn)}: hear it now
          </button>
        )}
        {fitted && (
          <FalseTone
            slug={instrument.slug}
            position={position}
            look={fitted.look}
            straying={falseTone.straying}
          />
        )}
        {fitted && first !== null && (
          <>
            <button type="button" data-go-on className="button mt-3 w-full" onClick={() => void log()}>
              Log {centsText(first)} cents
              {cents !== null && Math.abs(cents) <= IN_TUNE ? ', brought back' : ''}
            </button>
            {refused && (
              <p role="alert" className="mt-2 text-sm font-semibold text-ochre">
                {refused.sentence}
              </p>
            )}
          </>
        )}
        <SimulatorPanel
          is={stand.is}
          told={cents !== null && Math.abs(cents) > IN_TUNE ? raising.turn : null}
          onTurn={turn}
          onPluck={() => void pluck(stand, null)}
          onWait={cents !== null && Math.abs(cents) < FOUND ? wait : null}
          onNew={() => setStand(justWound)}
        />
      </aside>
    </div>
  )
}
