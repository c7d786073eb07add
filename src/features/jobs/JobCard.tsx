'use client'

import { aboutLine } from '@/core/instrument/about-line'
import { pages } from '@/boundary/paths'
import type { FittingContext } from '@/core/fitting/context'
import type { Step } from '@/core/fitting/step'
import { turnerOf } from '@/core/fitting/hands'
import { anchorGoes } from '@/core/fitting/knot-words'
import { countedFromWord, leadingNames } from '@/core/instrument/names'
import { wrapBelowPitch } from '@/core/fitting/feet'
import { isOnFoot } from '@/core/knots/fastenings'
import { measure, type Quantity } from '@/core/measure'
import { materialWord } from '@/core/strings/construction'
import { OpenKnot } from '@/drawings/knot/OpenKnot'
import { PinDrawing } from '@/drawings/PinDrawing'
import { measureText } from '@/ui/format/measure'
import { useKeepOpen } from '@/ui/offline/use-keep-open'
import { PrintButton } from '@/ui/shell/PrintButton'
import { useWorkshop } from '@/ui/units'
import { EveryMove } from './EveryMove'
import { CheckRuler, LaidOff } from './CheckRuler'

interface JobCardProps {
  readonly context: FittingContext
  readonly steps: readonly Step[]
  /** The coil set aside. */
  readonly from: string
  readonly jobId: number
  readonly date: string
}

type Row = readonly [what: string, value: string]

/** One printed page with every figure of a fitting, lengths to lay the string against, and boxes to tick. */
export function JobCard({ context, steps, from, jobId, date }: JobCardProps) {
  const { units, name: workshop } = useWorkshop()
  const { instrument, position, figures, habits } = context
  useKeepOpen(`${pages.jobSheet(jobId, 'card')} ${pages.jobSheet(jobId, 'steps')}`)
  const [string] = figures.strings
  if (!string) return null
  const text = (quantity: Quantity, value: number) => measureText(measure(quantity, value), units)
  const { name, beside } = leadingNames(position, habits.octaveNames)
  const { slack, key } = string
  const turner = turnerOf(position.head.pin)
  const wound = !isOnFoot(position)
  // The card says what the step says: turns that were given are in its figures.
  const setPin = steps.find((one) => one.key === 'set-pin')
  const onPin: readonly Row[] = [
    [
      'Slack',
      [
        `${text('length', slack.length)} past the pin`,
        ...(slack.reach.isThere ? [`${text('pins', slack.reach.pins)} ${slack.reach.direction}`] : []),
        `${text('length', slack.pull)} sideways`,
      ].join('; '),
    ],
    [
      'On the pin',
      `${text('wraps', string.wraps)}, ${text('width', string.bank.width)} wide; ${string.head}; tightens ${position.head.pin.tightens}, ${turner.seenFrom}`,
    ],
  ]
  const onFoot: readonly Row[] = [
    ['On its foot', `wrap it no more than ${text('semitones', wrapBelowPitch(key))} below pitch`],
  ]
  const rows: readonly Row[] = [
    ['String', `${materialWord(figures.construction)}, ${text('gauge', string.gauge)}, from ${from}`],
    ['Cut', text('length', figures.cut.total)],
    [
      'of which',
      figures.cut.parts.map((part) => `${part.what} ${text('length', part.length)}`).join(' + ') +
        (Math.abs(figures.cut.correction) >= 0.0005
          ? ` ${figures.cut.correction > 0 ? '+' : '−'} house’s correction ${text('length', Math.abs(figures.cut.correction))}`
          : ''),
    ],
    [
      'Knot',
      [
        position.tail.fastening,
        ...(figures.needsAnchor
          ? anchorGoes(position.tail.fastening, habits.anchor, habits.anchorPlace)
          : []),
      ]
        .join('. ')
        .replaceAll('..', '.'),
    ],
    ...(wound ? onPin : onFoot),
    ...(setPin && setPin.figures.length > 0
      ? [
          [
            'Pin',
            setPin.figures
              .map((figure) => `${figure.label.toLowerCase()} ${measureText(figure.measure, units)}`)
              .join('; '),
          ] as const,
        ]
      : []),
    [
      turner.name.replace(/^the ./, (c) => c.slice(4).toUpperCase()),
      `${text('angle', key.snugToPitch)} snug to pitch; ${text('angle', key.perSemitone)} a semitone; ${text('angle', key.toBreaking)} from pitch to breaking${position.head.pin.gearRatio === 1 ? '' : `; geared ${position.head.pin.gearRatio} : 1`}`,
    ],
    [
      'Pitch',
      `${text('frequency', string.pitch)} at rest in ${instrument.restTuning}; ${text('semitones', string.semitonesToBreaking)} to breaking`,
    ],
  ]
  return (
    <article
      className="sheet mx-auto max-w-[210mm] p-5 text-sm print:border-0 print:p-0 print:shadow-none"
      aria-label="Job card"
    >
      <header className="flex items-end justify-between gap-4 border-b border-ink pb-2">
        <div>
          <h1 className="text-2xl font-semibold">
            {name} of {instrument.name}
          </h1>
          <p className="text-soft">
            {beside}, number {position.called.number} {countedFromWord(instrument)}
            {aboutLine(instrument) && ` · ${aboutLine(instrument)}`}
          </p>
        </div>
        <p className="text-right text-soft">
          {workshop}
          <br />
          Job {jobId}, {date}
          <span className="print:hidden">
            <br />
            <PrintButton />
          </span>
        </p>
      </header>
      <div className="grid gap-x-6 md:grid-cols-[minmax(0,1fr)_15rem] print:grid-cols-[minmax(0,1fr)_56mm]">
        <dl className="ruled mt-2">
          {rows.map(([what, value]) => (
            <div key={what} className="grid grid-cols-[6rem_minmax(0,1fr)] gap-3 py-1">
              <dt className="text-soft">{what}</dt>
              <dd className={what === 'Cut' ? 'plate-figure text-2xl leading-tight' : ''}>{value}</dd>
            </div>
          ))}
        </dl>
        <div>
          {wound && <PinDrawing figures={string} className="mt-2 h-36 w-full" />}
          <OpenKnot context={context} className="mt-2 h-36 w-full" />
        </div>
      </div>
      <div
        role="group"
        aria-label="Lengths to lay the string against"
        className="mt-2 overflow-x-auto border-t border-ink pt-2 print:overflow-visible"
        tabIndex={0}
      >
        <CheckRuler />
        <LaidOff
          lengths={[
            ...(wound ? [{ word: 'slack past the pin', metres: slack.length }] : []),
            ...(figures.tail > 0 ? [{ word: 'tail past the hole', metres: figures.tail }] : []),
            ...(string.standHigher === null
              ? []
              : [{ word: 'pin stands higher', metres: string.standHigher }]),
          ]}
        />
      </div>
      {/* A grid, not columns: on paper columns take what is left of the page, and what follows would have one of its own. */}
      <ol
        className="mt-3 gap-x-8 border-t border-ink pt-2 sm:grid sm:grid-flow-col sm:grid-cols-2 print:grid print:grid-flow-col print:grid-cols-2"
        style={{ gridTemplateRows: `repeat(${Math.ceil(steps.length / 2)}, auto)` }}
      >
        {steps.map((step, i) => (
          <li key={step.key} className="flex break-inside-avoid items-start gap-2 border-b border-rule py-1">
            <span className="mt-0.5 size-4 shrink-0 border border-ink" aria-hidden />
            <span className="flex-1">
              {i + 1}. {step.title}
              {step.figures[0] && (
                <span className="text-soft">
                  : {step.figures[0].label.toLowerCase()} {measureText(step.figures[0].measure, units)}
                </span>
              )}
            </span>
            {step.asks && (
              <span className="w-20 shrink-0 border-b border-ink text-right text-xs text-soft">
                {step.asks}
              </span>
            )}
          </li>
        ))}
      </ol>
      <p className="mt-2 text-xs text-soft">
        Estimates from the lengths and values entered; the maker’s string chart comes first. Cracks, rising
        seams, pins that won’t hold: ask the maker or a qualified repairer.
      </p>
      <EveryMove steps={steps} />
    </article>
  )
}
