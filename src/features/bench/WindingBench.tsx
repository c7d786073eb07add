'use client'

import { useRouter } from 'next/navigation'
import { useCallback, useMemo, useState } from 'react'
import { marginWord } from '@/core/strings/tension'
import { pages } from '@/boundary/paths'
import { fittingFigures } from '@/core/fitting/figures'
import { SLACK_INTERVALS, type Habits, type SlackInterval } from '@/core/fitting/habits'
import { spanOf, type Instrument, type StringPosition } from '@/core/instrument/instrument'
import { lengthOfPins } from '@/core/instrument/neck'
import { measure } from '@/core/measure'
import { nearestNote } from '@/core/pitch/nearest-note'
import { scientificWord } from '@/core/pitch/note'
import { slackForWraps } from '@/core/winding/slack'
import { keyWay, woundBy } from '@/core/winding/wind'
import { PinDrawing } from '@/drawings/PinDrawing'
import { Figure } from '@/ui/figure/Figure'
import { MarginBar } from '@/ui/figure/MarginBar'
import { useLayAtHand } from '@/ui/find/at-hand'
import { measureText } from '@/ui/format/measure'
import { BackLink } from '@/ui/shell/BackLink'
import { useWorkshop } from '@/ui/units'
import { useLeadingNames } from '@/ui/use-leading-names'
import { KeyWheel } from './KeyWheel'
import { RuleCurve } from './RuleCurve'
import { StringRun } from './StringRun'

/** Degrees that the slider goes past breaking, to show where it is. */
const PAST = 1.06

/** What the sliders and the handles reach, m. */
const MOST_SLACK = 0.25
const MOST_TAIL = 0.2
const PIN = { least: 0.003, most: 0.012 } as const

interface WindingBenchProps {
  readonly instrument: Instrument
  readonly position: StringPosition
  readonly habits: Habits
}

/** A string on the bench: leave slack, turn the key, and see wraps, pitch, pull and breaking, before anyone turns a pin. */
export function WindingBench({ instrument, position, habits }: WindingBenchProps) {
  const leadingNames = useLeadingNames()
  const { units } = useWorkshop()
  const router = useRouter()
  useLayAtHand(
    instrument,
    useCallback(
      (number: number) => router.push(pages.instrumentSheet(instrument.slug, 'bench', number)),
      [router, instrument.slug],
    ),
  )
  const fitting = useMemo(() => fittingFigures(instrument, position, habits), [instrument, position, habits])
  const charted = fitting.strings.find((s) => s.position.number === position.number)
  const [slack, setSlack] = useState(charted?.slack.length ?? 0)
  const [pinDiameter, setPinDiameter] = useState(position.head.pin.diameter)
  const [turned, setTurned] = useState<number | null>(null)
  const [tail, setTail] = useState(fitting.tail)
  if (!charted) return null

  const pin = { ...position.head.pin, diameter: pinDiameter }
  const span = spanOf(instrument, position)
  const way = keyWay(span, pin, slack, charted.lay)
  const key = Math.min(turned ?? way.pitch, way.breaking * PAST)
  const now = woundBy(span, pin, slack, key, charted.lay)
  const figures = {
    ...charted,
    position: { ...position, head: { ...position.head, pin } },
    wraps: now.wraps,
    bank: now.bank,
  }
  const { name, beside } = leadingNames(position)
  const setWraps = (wraps: number) =>
    setSlack(Math.max(0, slackForWraps(wraps, pinDiameter, charted.gauge, charted.stretch, charted.lay)))
  // What is set here stands in the sum for what the house would leave.
  const cut =
    fitting.cut.total + fitting.strings.length * (slack - charted.slack.length + tail - fitting.tail)
  const setDiameter = (diameter: number) =>
    setPinDiameter(Math.min(PIN.most, Math.max(PIN.least, Math.round(diameter * 1e4) / 1e4)))
  const setRule = (rule: SlackInterval) =>
    setSlack(
      lengthOfPins(instrument, position, SLACK_INTERVALS[rule], {
        rule: habits.spacing,
        toward: habits.slackToward,
      }),
    )
  const text = (metres: number) => measureText(measure('length', metres), units)

  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[minmax(0,1fr)_24rem]">
      <section className="sheet p-4 md:p-5" aria-label="On the pin">
        <BackLink to={pages.instrument(instrument.slug, position.number)}>
          {instrument.name}, {name}
        </BackLink>
        <h1 className="text-2xl font-semibold">Winding bench</h1>
        <p className="text-soft">
          {name}, {beside}. Drag the key, the bow, the tail or the pin’s edge, or use the sliders, and see
          what it will do.
        </p>
        <div className="mt-3 grid items-center gap-4 md:grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)]">
          <PinDrawing figures={figures} onDiameter={setDiameter} className="max-h-60 w-full" />
          <KeyWheel
            turned={key}
            ratio={pin.gearRatio}
            clockwise={pin.tightens === 'clockwise'}
            pin={pinDiameter}
            gauge={charted.gauge}
            broken={now.broken}
            onTurn={(by) => setTurned(Math.min(way.breaking * PAST, Math.max(0, key + by)))}
          />
        </div>
        <StringRun
          free={position.freeLength}
          speaking={position.speakingLength}
          slack={slack}
          slackLeft={now.slackLeft}
          tail={tail}
          tension={now.tension}
          atPitch={charted.tension}
          broken={now.broken}
          onSlack={(to) => setSlack(Math.min(MOST_SLACK, to))}
          onTail={(to) => setTail(Math.min(MOST_TAIL, to))}
        />
        <div className="mt-4 grid gap-3 border-t border-ink pt-3">
          <Slider
            label="Key turned"
            value={key}
            least={0}
            most={way.breaking * PAST}
            step={way.breaking / 600}
            onChange={setTurned}
            told={`${key < 360 ? measureText(measure('angle', key), units) : `${key.toFixed(0)}°`}, ${(key / 360).toFixed(2)} turns of the key`}
          />
          <div className="flex flex-wrap gap-2">
            <button type="button" className="button" onClick={() => setTurned(way.snug)}>
              Snug
            </button>
            <button type="button" className="button button-main" onClick={() => setTurned(null)}>
              To pitch
            </button>
            <button type="button" className="button" onClick={() => setTurned(way.breaking)}>
              To breaking
            </button>
          </div>
          <Slider
            label="Slack left before winding"
            value={slack}
            least={0}
            most={MOST_SLACK}
            step={0.001}
            onChange={setSlack}
            told={`${text(slack)} beyond the pin`}
          />
          <div className="flex flex-wrap gap-2">
            {[2, 3, 4].map((wraps) => (
              <button key={wraps} type="button" className="button" onClick={() => setWraps(wraps)}>
                for {wraps} wraps
              </button>
            ))}
            {(Object.keys(SLACK_INTERVALS) as SlackInterval[]).map((rule) => (
              <button key={rule} type="button" className="button" onClick={() => setRule(rule)}>
                {rule}
              </button>
            ))}
          </div>
          <Slider
            label="Tail past the hole"
            value={tail}
            least={0.01}
            most={MOST_TAIL}
            step={0.001}
            onChange={setTail}
            told={`${text(tail)}; the cut is ${text(cut)}`}
          />
          <Slider
            label="Tuning pin"
            value={pinDiameter}
            least={PIN.least}
            most={PIN.most}
            step={0.0001}
            onChange={setPinDiameter}
            told={`${measureText(measure('width', pinDiameter), units)} where the string winds`}
          />
        </div>
      </section>
      <section
        className="sheet p-4 md:p-5 lg:sticky lg:top-4"
        aria-label="What it comes to"
        aria-live="polite"
      >
        <p className="label">It sounds</p>
        <p className="plate-figure text-4xl leading-tight">
          {now.broken
            ? 'broken'
            : now.pitch === null || now.cents === null
              ? 'nothing yet'
              : Math.abs(now.cents) < 50
                ? scientificWord(position.note)
                : nearestNote(now.pitch, instrument.referenceA).word}
        </p>
        <p className="text-sm text-soft">
          {soundWords(now.broken, now.cents, now.pitch, now.slackLeft > 0 ? text(now.slackLeft) : null)}
        </p>
        <div className="mt-3 grid grid-cols-2 gap-3 border-t border-ink pt-3">
          <Figure label="To cut" measure={measure('length', cut)} note="with this slack and tail" />
          <Figure
            label="Wraps"
            measure={measure('wraps', now.wraps)}
            note={
              now.bank.fits
                ? `a bank of ${measureText(measure('width', now.bank.width), units)}`
                : 'the bank does not fit'
            }
          />
          <Figure label="Tension" measure={measure('force', now.tension)} />
          <Figure
            label="Pull left at the hole"
            measure={measure('force', now.pullAtHole)}
            note="held by friction"
          />
          <Figure
            label="Angle to the bridge pin"
            measure={measure('angle', Math.abs(now.bank.sideAngle))}
            note={`straightest at ${now.bank.straightestWraps} ${now.bank.straightestWraps === 1 ? 'wrap' : 'wraps'}`}
          />
        </div>
        <div className="mt-3">
          <div className="label">Share of its strength</div>
          <MarginBar utilisation={Math.min(1.05, now.utilisation)} margin={marginWord(now.utilisation)} />
        </div>
        <p className="mt-3 border-l-2 border-line pl-3 text-sm">
          {key < way.pitch - 0.05 &&
            `From here ${measureText(measure('angle', way.pitch - key), units)} of the key to pitch. `}
          {key < way.breaking
            ? `From here ${measureText(measure('angle', way.breaking - key), units)} to breaking.`
            : 'Past breaking.'}{' '}
          A semitone at pitch is {measureText(measure('angle', charted.key.perSemitone), units)}.
        </p>
        {charted.slack.stretchAloneIsMore && (
          <p className="mt-2 text-sm text-ochre">
            The stretch alone winds on more than {charted.wrapsWanted} wraps here: leave no slack.
          </p>
        )}
        <p className="mt-3 text-xs text-soft">
          Estimates from the lengths and values entered. The maker’s string chart comes first.
        </p>
      </section>
      <section className="sheet p-4 md:p-5 lg:col-span-2" aria-label="The rule of thumb along the instrument">
        <RuleCurve instrument={instrument} habits={habits} number={position.number} />
      </section>
    </div>
  )
}

function soundWords(
  broken: boolean,
  cents: number | null,
  pitch: number | null,
  slack: string | null,
): string {
  if (broken) return 'It would have broken on the way here.'
  if (pitch === null || cents === null) return slack === null ? 'It is snug.' : `${slack} of slack are left.`
  const off =
    Math.abs(cents) < 0.5
      ? 'at its pitch'
      : `${Math.abs(cents).toFixed(0)} cents ${cents < 0 ? 'below' : 'above'} its pitch`
  return `${pitch.toFixed(1)} Hz, ${off}.`
}

interface SliderProps {
  readonly label: string
  readonly value: number
  readonly least: number
  readonly most: number
  readonly step: number
  readonly told: string
  readonly onChange: (value: number) => void
}

function Slider({ label, value, least, most, step, told, onChange }: SliderProps) {
  return (
    <label className="block">
      <span className="flex flex-wrap justify-between gap-x-3">
        <span className="font-semibold">{label}</span>
        <span className="text-sm text-soft">{told}</span>
      </span>
      <input
        type="range"
        className="h-9 w-full accent-verdigris"
        min={least}
        max={most}
        step={step}
        value={value}
        aria-valuetext={told}
        onChange={(event) => onChange(Number(event.target.value))}
      />
    </label>
  )
}
