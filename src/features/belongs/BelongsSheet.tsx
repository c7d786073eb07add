'use client'

import { useRouter } from 'next/navigation'
import { useCallback, useState } from 'react'
import { pages } from '@/boundary/paths'
import { asMeasured, type PacketMaterial } from '@/core/identify/as-measured'
import { belongs, type Belongs, type Belonging } from '@/core/identify/belongs'
import { FAMILIES, type Family } from '@/core/instrument/family'
import {
  TENSION_CLASSES,
  gaugeOf,
  type Instrument,
  type StringPosition,
  type TensionClass,
} from '@/core/instrument/instrument'
import { measure } from '@/core/measure'
import { materialWord, sameMake } from '@/core/strings/construction'
import { MATERIALS } from '@/core/strings/materials'
import { parseLength, type LengthUnit } from '@/core/units/length'
import { useLayAtHand } from '@/ui/find/at-hand'
import { Figure } from '@/ui/figure/Figure'
import { MarginBar } from '@/ui/figure/MarginBar'
import { PhraseText } from '@/ui/figure/PhraseText'
import { Choice } from '@/ui/form/Choice'
import { Entry } from '@/ui/form/Entry'
import { measureText } from '@/ui/format/measure'
import { BackLink } from '@/ui/shell/BackLink'
import { useWorkshop } from '@/ui/units'
import { useLeadingNames } from '@/ui/use-leading-names'
import { GaugeRule, type GaugeMark } from './GaugeRule'

/** Standard error of a digital calliper, m. */
const CALLIPER_ERROR = 1e-5
const NOT_SAID = 'not said'
const VERDICTS: Record<Belonging, { readonly title: string; readonly word: string }> = {
  yes: { title: 'It belongs here', word: 'right' },
  mind: { title: 'It can serve; look at what is marked', word: 'look at this' },
  no: { title: 'It does not belong here', word: 'against it' },
}

interface BelongsSheetProps {
  readonly instrument: Instrument
  readonly position: StringPosition
}

/** A new string held against the chart, the old one and its neighbours. */
export function BelongsSheet({ instrument, position }: BelongsSheetProps) {
  const { gaugeUnit, units } = useWorkshop()
  const leadingNames = useLeadingNames()
  const router = useRouter()
  useLayAtHand(
    instrument,
    useCallback(
      (number: number) => router.push(pages.instrumentSheet(instrument.slug, 'belongs', number)),
      [router, instrument.slug],
    ),
  )
  const charted = position.construction
  const [gauge, setGauge] = useState('')
  const [oldGauge, setOldGauge] = useState('')
  const [named, setNamed] = useState<string>(
    charted.kind === 'wound' ? 'wound, as charted' : charted.material,
  )
  const [tensionClass, setTensionClass] = useState<string>(NOT_SAID)
  const [madeFor, setMadeFor] = useState<string>(NOT_SAID)
  const fresh = readGauge(gauge, gaugeUnit)
  const old = readGauge(oldGauge, gaugeUnit)
  const judged = judge()
  const { name, beside } = leadingNames(position)

  function judge(): { readonly result: Belongs | null; readonly problem: string | undefined } {
    if (typeof fresh !== 'number') return { result: null, problem: fresh ?? undefined }
    try {
      const construction = asMeasured(named as PacketMaterial, fresh, charted)
      const packet = {
        construction,
        error: CALLIPER_ERROR,
        tensionClass: tensionClass === NOT_SAID ? null : (tensionClass as TensionClass),
        madeFor: madeFor === NOT_SAID ? null : (madeFor as Family),
      }
      return {
        result: belongs(instrument, position, packet, typeof old === 'number' ? old : null),
        problem: undefined,
      }
    } catch (error) {
      return { result: null, problem: (error as RangeError).message }
    }
  }

  const neighbours = [
    instrument.positions[position.number - 2],
    instrument.positions[position.number],
  ].filter((p) => p !== undefined && sameMake(p.construction, charted)) as readonly StringPosition[]
  const marks: readonly GaugeMark[] = [
    { label: 'the chart', gauge: gaugeOf(position), kind: 'chart' },
    ...neighbours.map((p): GaugeMark => ({
      label: `string ${p.number}`,
      gauge: gaugeOf(p),
      kind: 'neighbour',
    })),
    ...(typeof old === 'number' ? [{ label: 'the old one', gauge: old, kind: 'old' } as const] : []),
    ...(typeof fresh === 'number' ? [{ label: 'the new one', gauge: fresh, kind: 'new' } as const] : []),
  ]

  return (
    <div className="grid items-start gap-4 lg:grid-cols-[24rem_minmax(0,1fr)]">
      <section className="sheet p-4 md:p-5">
        <BackLink to={pages.instrument(instrument.slug, position.number)}>
          {instrument.name}, {name}
        </BackLink>
        <h1 className="text-2xl font-semibold">Does this new string belong here?</h1>
        <p className="text-soft">
          {name}, {beside}: the chart has {materialWord(charted)},{' '}
          {measureText(measure('gauge', gaugeOf(position)), units)}.
        </p>
        <div className="mt-4 grid gap-3">
          <Entry
            label="Gauge of the new string"
            hint={`Measured, in ${gaugeUnit} unless you write the unit.`}
            inputMode="decimal"
            value={gauge}
            onChange={(event) => setGauge(event.target.value)}
            problem={judged.problem}
          />
          <Entry
            label="Gauge of the old one, if you have it"
            inputMode="decimal"
            value={oldGauge}
            onChange={(event) => setOldGauge(event.target.value)}
            problem={typeof old === 'string' ? old : undefined}
          />
          <Choice
            label="Material on the packet"
            options={[
              ...(charted.kind === 'wound' ? ['wound, as charted'] : []),
              ...MATERIALS.filter((m) => m !== 'copper'),
            ]}
            value={named}
            onChange={(event) => setNamed(event.target.value)}
          />
          <Choice
            label="Tension class on the packet"
            options={[NOT_SAID, ...TENSION_CLASSES]}
            value={tensionClass}
            onChange={(event) => setTensionClass(event.target.value)}
          />
          <Choice
            label="The packet names a"
            options={[NOT_SAID, ...FAMILIES]}
            value={madeFor}
            onChange={(event) => setMadeFor(event.target.value)}
          />
        </div>
      </section>
      <section className="sheet p-4 md:p-5" aria-label="Verdict" aria-live="polite">
        {judged.result ? (
          <Judgement result={judged.result} />
        ) : (
          <p className="text-lg text-soft">
            Measure the new string near its untagged end, and type the gauge.
          </p>
        )}
        <div className="mt-4 border-t border-ink pt-3">
          <GaugeRule marks={marks} units={units} />
        </div>
      </section>
    </div>
  )
}

function Judgement({ result }: { readonly result: Belongs }) {
  const { title } = VERDICTS[result.verdict]
  return (
    <>
      <h2
        className={`text-3xl font-semibold ${result.verdict === 'yes' ? 'text-verdigris' : result.verdict === 'no' ? 'text-ochre' : ''}`}
      >
        {title}
      </h2>
      <div className="mt-3 grid gap-x-8 gap-y-3 sm:grid-cols-[auto_auto_minmax(0,1fr)]">
        <Figure label="Tension it would have" measure={measure('force', result.tension)} />
        <Figure
          label="Against the chart"
          measure={measure('share', Math.abs(result.tensionChange))}
          note={
            result.tensionChange > 0.0005 ? 'higher' : result.tensionChange < -0.0005 ? 'lower' : 'the same'
          }
        />
        <div>
          <div className="label">Margin to breaking</div>
          <MarginBar utilisation={result.utilisation} margin={result.margin} />
        </div>
      </div>
      <ul className="ruled mt-4 border-t border-ink">
        {result.reasons.map(({ about, verdict, says }) => (
          <li key={about} className="grid grid-cols-[1.5rem_7.5rem_1fr] gap-2 py-2">
            <span
              className={`text-center font-semibold ${verdict === 'yes' ? 'text-verdigris' : 'text-ochre'}`}
              aria-hidden
            >
              {{ yes: '✓', mind: '!', no: '×' }[verdict]}
            </span>
            <span className="text-sm text-soft">
              {about}
              <span className="sr-only">, {VERDICTS[verdict].word}</span>
            </span>
            <span>
              <PhraseText phrase={says} />
            </span>
          </li>
        ))}
      </ul>
      <p className="mt-2 text-sm text-soft">
        Estimates from the lengths and values entered; the maker’s string chart comes first. A change of
        tension class is a matter for the maker.
      </p>
    </>
  )
}

/** A gauge in metres, a sentence on what is wrong, or null while nothing is typed. */
function readGauge(text: string, unit: LengthUnit): number | string | null {
  if (text.trim() === '') return null
  try {
    const gauge = parseLength(text, unit)
    return gauge > 5e-5 && gauge < 0.012
      ? gauge
      : `A gauge of “${text.trim()}” can’t be right; expected 0.05 mm to 12 mm.`
  } catch (error) {
    return (error as RangeError).message
  }
}
