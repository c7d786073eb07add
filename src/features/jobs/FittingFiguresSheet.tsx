'use client'

import Link from 'next/link'
import { Minus, Plus } from 'lucide-react'
import { endpoints } from '@/boundary/endpoints'
import { pages } from '@/boundary/paths'
import { restsOn, type Correction } from '@/core/fitting/corrections'
import { WRAPS_BAND, type Habits } from '@/core/fitting/habits'
import { turnerOf } from '@/core/fitting/hands'
import { ruleWords } from '@/core/fitting/step-makers/upper-end'
import type { FittingFigures } from '@/core/fitting/figures'
import { holdWorking, marginWorking, slackWorking, snugToPitchWorking } from '@/core/fitting/workings'
import type { Instrument } from '@/core/instrument/instrument'
import { wrapBelowPitch } from '@/core/fitting/feet'
import { isOnFoot } from '@/core/knots/fastenings'
import { measure } from '@/core/measure'
import { surfaceMaterial } from '@/core/strings/construction'
import { CutDrawing } from '@/drawings/CutDrawing'
import { KeyDial } from '@/drawings/KeyDial'
import { PinDrawing } from '@/drawings/PinDrawing'
import { SlackDrawing } from '@/drawings/SlackDrawing'
import { Figure } from '@/ui/figure/Figure'
import { ShowWorking } from '@/ui/figure/ShowWorking'
import { measureText, phraseWords } from '@/ui/format/measure'
import { usePageTurner } from '@/ui/shell/use-page-turner'
import { useAct } from '@/ui/shell/use-act'
import { useWorkshop } from '@/ui/units'

interface FittingFiguresSheetProps {
  readonly jobId: number
  readonly instrument: Instrument
  readonly figures: FittingFigures
  readonly habits: Habits
  readonly begun: boolean
}

/** Every figure of the fitting on one sheet: what to cut, the slack, the wraps on the pin, the way of the key. */
export function FittingFiguresSheet({ jobId, instrument, figures, habits, begun }: FittingFiguresSheetProps) {
  const { units } = useWorkshop()
  const { act, refused } = useAct()
  usePageTurner()
  const string = figures.strings[0]
  if (!string) return null
  const { slack, key, bank } = string
  const text = (quantity: 'length' | 'width' | 'wraps' | 'pins' | 'angle', value: number) =>
    measureText(measure(quantity, value), units)
  const each = figures.strings.length > 1 ? ' at each pin' : ''

  const changeWraps = (by: number) =>
    act(
      endpoints.setHabit,
      { of: 'job', jobId, key: 'wraps', value: habits.wraps + by },
      `${text('wraps', habits.wraps + by)} wanted on this job.`,
    )
  const { corrections } = figures
  const { wraps: wrapsOff } = corrections
  const turner = turnerOf(string.position.head.pin).name.replace('the ', '')
  const feet = isOnFoot(string.position)

  return (
    <div>
      <section className="mt-4" aria-label="What to cut">
        <div className="flex flex-wrap items-baseline gap-x-6">
          <h2 className="text-xl font-semibold">Cut</h2>
          <p className="text-sm text-soft">
            You set the length on the instrument. This sum checks it.
            {figures.needsAnchor && ' This knot needs an anchor.'}
          </p>
        </div>
        <CutDrawing cut={figures.cut} />
        {corrections.cut.from.workshop > 0 && (
          <p className="mt-2 text-sm text-soft">
            {correctionText(corrections.cut, text('length', Math.abs(corrections.cut.by)))}
          </p>
        )}
      </section>
      <div
        className={`mt-4 grid border-t border-ink md:divide-x md:divide-rule ${feet ? '' : 'md:grid-cols-3'}`}
      >
        {!feet && (
          <section className="py-4 md:pr-5" aria-label="Slack">
            <h2 className="text-xl font-semibold">Slack{each}</h2>
            <div className="mt-1 flex flex-wrap items-end gap-x-6">
              <Figure
                label="Past the pin"
                measure={measure('length', slack.length)}
                size="huge"
                working={slackWorking(string, habits)}
              />
              {slack.reach.isThere && <Figure label="By pins" measure={measure('pins', slack.reach.pins)} />}
              <Figure label="Sideways pull" measure={measure('length', slack.pull)} />
            </div>
            {Math.abs(wrapsOff.by) >= 0.05 && (
              <p className="mt-1 text-sm text-soft">
                Your fittings ({restsOn(wrapsOff.from)}) got {Math.abs(wrapsOff.by).toFixed(1)} wraps{' '}
                {wrapsOff.by > 0 ? 'more' : 'fewer'} than the sum. Leave{' '}
                {text('length', Math.abs(wrapsOff.by) * string.drawnPerTurn)}{' '}
                {wrapsOff.by > 0 ? 'less' : 'more'} slack. This figure has it.
              </p>
            )}
            {slack.stretchAloneIsMore && (
              <p className="mt-1 text-sm text-ochre">
                Leave no slack. The stretch alone winds on more than {text('wraps', string.wrapsWanted)}.
              </p>
            )}
            <SlackDrawing instrument={instrument} figures={string} className="mt-3" />
            <p
              className={`mt-2 text-sm ${slack.rule.within ? '' : 'border-l-4 border-ochre bg-ochre-wash px-3 py-2'}`}
            >
              Your rule ({phraseWords(ruleWords(slack.rule, habits.slackInterval), units)}) gives{' '}
              {text('length', slack.rule.length)}: {text('wraps', slack.rule.wraps)}.
              {slack.rule.within
                ? ''
                : ` That is outside ${WRAPS_BAND.least} to ${WRAPS_BAND.most}. Leave ${slack.reach.isThere ? text('pins', slack.reach.pins) : text('length', slack.length)} instead.`}
            </p>
          </section>
        )}
        {!feet && (
          <section className="border-t border-rule py-4 md:border-t-0 md:px-5" aria-label="Wraps on the pin">
            <h2 className="text-xl font-semibold">Wraps{each}</h2>
            <div className="mt-1 flex flex-wrap items-end gap-x-6">
              <Figure label="At pitch" measure={measure('wraps', string.wraps)} size="huge" />
              <div className="flex gap-1 pb-2">
                <button
                  type="button"
                  className="button size-11 p-0"
                  aria-label="Half a wrap fewer"
                  onClick={() => changeWraps(-0.5)}
                >
                  <Minus size={18} aria-hidden />
                </button>
                <button
                  type="button"
                  className="button size-11 p-0"
                  aria-label="Half a wrap more"
                  onClick={() => changeWraps(0.5)}
                >
                  <Plus size={18} aria-hidden />
                </button>
              </div>
            </div>
            {refused && (
              <p role="alert" className="text-sm font-semibold text-ochre">
                {refused.sentence}
              </p>
            )}
            {habits.wrapsBy !== 'a number of wraps' && (
              <p className="text-sm text-soft">
                Wanted: {text('wraps', string.wrapsWanted)}, to bring it in line with its bridge pin.
              </p>
            )}
            <PinDrawing figures={string} className="mx-auto mt-2 h-72 w-full" />
            <p className="mt-2 text-sm">
              {bank.fits ? (
                `The wraps are ${text('width', bank.width)} wide and fit.`
              ) : (
                <strong className="text-ochre">So many wraps don’t fit between hole and wood.</strong>
              )}
              {string.position.head.pin.setting === 'across a scroll'
                ? ' The nut sets its line.'
                : ` The string leaves ${sideWord(bank.sideAngle)}. Straightest with ${text('wraps', bank.straightestWraps)}.`}
            </p>
            <p className="mt-1 text-sm">
              The wraps hold all but {(string.pullLeftAtHole * 100).toFixed(1)} % of the pull.{' '}
              <ShowWorking working={holdWorking(string, surfaceMaterial(figures.construction).friction)} />
            </p>
            {string.standHigher !== null && string.standsAt !== null && (
              <p className="mt-1 text-sm font-semibold">
                Before winding, set {figures.strings.length > 1 ? 'each pin' : 'the pin'}{' '}
                {text('width', string.standHigher)} above its neighbours, {text('width', string.standsAt)}{' '}
                above the wood. Its thread sinks it by that.
              </p>
            )}
          </section>
        )}
        <section className="border-t border-rule py-4 md:border-t-0 md:pl-5" aria-label={`The ${turner}`}>
          <h2 className="text-xl font-semibold">
            {feet ? 'Peg' : turner.replace(/^./, (c) => c.toUpperCase())}
          </h2>
          <div className="mt-1 flex flex-wrap items-end gap-x-6">
            <Figure
              label="Semitones to breaking"
              measure={measure('semitones', string.semitonesToBreaking)}
              size="huge"
              working={marginWorking(instrument, string.position, figures.construction)}
            />
          </div>
          <KeyDial
            keyFigures={key}
            clockwise={string.position.head.pin.tightens === 'clockwise'}
            className="mx-auto h-56"
          />
          <div className="grid grid-cols-2 gap-x-4 gap-y-2 sm:grid-cols-4 md:grid-cols-2">
            <Figure
              label="Snug to pitch"
              measure={measure('angle', key.snugToPitch)}
              // From a full turn on, the figure itself says how many.
              note={key.snugToPitch < 360 ? `${(key.snugToPitch / 360).toFixed(2)} of a turn` : undefined}
              working={snugToPitchWorking(string, figures.construction)}
            />
            <Figure label="One semitone" measure={measure('angle', key.perSemitone)} />
            <Figure label="Pitch to breaking" measure={measure('angle', key.toBreaking)} note="an estimate" />
            {feet && (
              <Figure label="Wrap below pitch, at most" measure={measure('semitones', wrapBelowPitch(key))} />
            )}
            <Figure
              label="Settling, two weeks"
              measure={measure('angle', key.settling)}
              note="winds on later"
            />
          </div>
          {string.knotUtilisation !== null && string.knotUtilisation > 1 && (
            <p className="mt-2 border-l-4 border-ochre bg-ochre-wash px-3 py-2 text-sm">
              Don’t fit it yet: it would break at its knot below pitch. Ask the maker.
            </p>
          )}
          {Math.abs(figures.againstChart) > 0.005 && (
            <p className="mt-2 text-sm">
              This string pulls {Math.abs(figures.againstChart * 100).toFixed(1)} %{' '}
              {figures.againstChart > 0 ? 'harder' : 'less'} than the one in the chart.
            </p>
          )}
        </section>
      </div>
      <div className="flex flex-wrap items-center justify-between gap-3 border-t border-ink pt-4">
        <p className="max-w-prose text-sm text-soft">
          These are estimates from what you entered. The maker’s string chart comes first. Ask the maker
          before you change the tension class.
        </p>
        <span className="flex flex-wrap gap-2">
          <Link href={pages.jobSheet(jobId, 'habits')} className="button min-h-12">
            Otherwise for this job
          </Link>
          <Link href={pages.jobSheet(jobId, 'card')} className="button min-h-12">
            Job card
          </Link>
          <Link
            href={pages.jobSheet(jobId, 'steps')}
            data-go-on
            className="button button-main min-h-12 px-6 text-lg"
          >
            {begun ? 'Go on with the fitting' : 'Start the fitting'}
          </Link>
        </span>
      </div>
    </div>
  )
}

function correctionText({ by, from }: Correction, length: string): string {
  if (Math.abs(by) < 0.0005) return `Your cuts (${restsOn(from)}) were as long as the sum.`
  return `Your cuts (${restsOn(from)}) were ${length} ${by > 0 ? 'longer' : 'shorter'}. The sum has it.`
}

function sideWord(angle: number): string {
  if (Math.abs(angle) < 0.5) return 'straight toward its bridge pin'
  return `at ${Math.abs(angle).toFixed(1)}° to its bridge pin, ${angle > 0 ? 'too far out' : 'too near the wood'}`
}
