'use client'

import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useCallback, useMemo, useState } from 'react'
import { ArrowLeft, Check, Mic, TriangleAlert, Volume2 } from 'lucide-react'
import { pages } from '@/boundary/paths'
import { CAUTIONS } from '@/core/fitting/caution'
import { inTheInterval } from '@/core/fitting/in-the-interval'
import { shortWalk, type ShortLine } from '@/core/fitting/short-walk'
import { stepsTogether, type SharedStep } from '@/core/fitting/together'
import type { StepKey } from '@/core/fitting/step'
import type { Instrument } from '@/core/instrument/instrument'
import { itemAt } from '@/core/list/item-at'
import { requireValue } from '@/core/list/require-value'
import { TurnArrow } from '@/drawings/TurnArrow'
import { StepDrawing } from '@/drawings/step/StepDrawing'
import { Figure } from '@/ui/figure/Figure'
import { PhraseText } from '@/ui/figure/PhraseText'
import { RestTimer } from '@/ui/hands-free/RestTimer'
import { useReadAloud } from '@/ui/hands-free/use-read-aloud'
import { useVoiceCommands } from '@/ui/hands-free/use-voice-commands'
import { useWakeLock } from '@/ui/hands-free/use-wake-lock'
import { useKeepOpen } from '@/ui/offline/use-keep-open'
import { minutesFor } from '@/ui/kept/keys'
import { useStoredState } from '@/ui/kept/use-stored-state'
import { useOutbox } from '@/ui/offline/use-outbox'
import { inField, useKeys } from '@/ui/shell/use-keys'
import { useWorkshop } from '@/ui/units'
import { lineAloud, stepAloud } from './aloud'
import { memberOf, type JobView } from './job-view'
import { IntervalPanel } from './IntervalPanel'
import { MeasureEntry } from './MeasureEntry'
import { MishapDialog } from './MishapDialog'
import { ShortWalk } from './ShortWalk'
import { AsItWas, BeforeItComesOff, type JobPicture } from './StepPictures'
import { useMarks } from './use-marks'
import { withWaiting } from './with-waiting'

interface StepByStepProps {
  readonly instrument: Instrument
  /** The strings of the job; its own first or alone. */
  readonly jobs: readonly JobView[]
  /** Taken for them. */
  readonly pictures: readonly JobPicture[]
  /** Who is at the bench on this device; null where nobody said so. */
  readonly me: string | null
  /** What counts as in tune before people, cents. */
  readonly holdsWithin: number
}

/** The fitting, one step at a time, with both hands busy: large, moved by Space, a page-turner or the voice, read aloud, resumed where it was left. */
export function StepByStep({ instrument, jobs: inTheWorkshop, pictures, me, holdsWithin }: StepByStepProps) {
  const { units } = useWorkshop()
  const { waits } = useOutbox()
  const jobs = useMemo(() => withWaiting(inTheWorkshop, waits), [inTheWorkshop, waits])
  const [{ jobId: firstId }] = inTheWorkshop as readonly [JobView]
  useKeepOpen(
    [
      pages.jobSheet(firstId, 'steps'),
      pages.jobSheet(firstId, 'card'),
      ...inTheWorkshop.map(({ jobId }) => pages.jobSheet(jobId, 'log')),
    ].join(' '),
  )
  const router = useRouter()
  const [turns, setTurns] = useState<Readonly<Record<number, number>>>({})
  // A tick that waits changes no figure: nothing is worked out anew for it.
  const given = jobs.map((job) => turns[job.jobId] ?? job.measured.turns ?? 0).join(' ')
  const members = useMemo(() => {
    const turnsGiven = given.split(' ').map(Number)
    return inTheWorkshop.map((job, i) => memberOf(instrument, job, turnsGiven[i]))
  }, [instrument, inTheWorkshop, given])
  const [minutes, setMinutes] = useStoredState(minutesFor(firstId), 0)
  const interval = useMemo(() => {
    const [only, ...others] = members
    return minutes === 0 || !only || others.length > 0
      ? null
      : inTheInterval(only.context, only.steps, minutes, holdsWithin)
  }, [members, minutes, holdsWithin])
  const steps = useMemo(() => {
    const waits = new Set(interval?.putOff.map(({ key }) => key))
    return stepsTogether(
      members,
      members[0]?.context.state.restring
        ? 'as planned'
        : (members[0]?.context.habits.restring ?? 'longest first'),
    ).filter(({ step: { key } }) => !waits.has(key))
  }, [members, interval])
  // What the house has taken since the page was opened stands here: it is not asked for the page again at every step.
  const [ticks, setTicks] = useState<Readonly<Record<string, boolean>>>({})
  const isDone = ({ step, members: ids }: SharedStep) =>
    ids.every(
      (id) => ticks[tickOf(id, step.key)] ?? jobs.find((job) => job.jobId === id)?.done.includes(step.key),
    )
  const handsOf = ({ members: [id, ...others] }: SharedStep) =>
    others.length > 0 ? '' : (jobs.find(({ jobId }) => jobId === id)?.hands ?? '')
  // What is another's is passed over: they have it on their own device.
  const isMine = (step: SharedStep) =>
    me === null || me === handsOf(step) || handsOf(step) === '' || jobs.every(({ hands }) => hands !== me)
  const nextOpen = (from: number) => steps.findIndex((one, i) => i >= from && !isDone(one) && isMine(one))
  const firstOpen = nextOpen(0)
  // Until someone moves, the first step that is not done; marks that were kept here may still be on their way.
  const [at, setAt] = useState<number | null>(null)
  const here = Math.min(at ?? (firstOpen < 0 ? steps.length - 1 : firstOpen), steps.length - 1)
  const { step, members: ids } = itemAt(steps, here)
  // Each person’s own, on this device: full for the first time.
  const [length, setLength] = useStoredState<'full' | 'short'>(`walk of ${me ?? ''}`, 'full', 'device')
  const isShort = length === 'short'
  const lines = useMemo(() => shortWalk(steps, ({ step: one }) => one), [steps])
  const [aloud, setAloud] = useState(false)
  const [listening, setListening] = useState(false)
  const send = useMarks()
  const mark = ({ step: one, members: of }: SharedStep, done: boolean) => {
    setTicks((had) => ({ ...had, ...Object.fromEntries(of.map((id) => [tickOf(id, one.key), done])) }))
    return send({ step: one.key, done, jobs: of }, one.title)
  }
  const { can: canSpeak, say, stop } = useReadAloud()
  useWakeLock()

  const member = members.find((m) => m.id === ids[0]) ?? members[0]
  const job = jobs.find((one) => one.jobId === member?.id)
  const several = members.length > 1
  const last = here === steps.length - 1
  const aloudAt = (i: number) => {
    const one = steps[i]
    if (!one) return ''
    const line = isShort && lines.find(({ steps: own }) => own.includes(one))
    return line ? lineAloud(line, units) : stepAloud(one.step, units)
  }
  const goTo = (i: number) => {
    setAt(i)
    if (aloud) say(aloudAt(i))
  }
  const toLog = (sent: Promise<boolean>, id: number) => {
    const log = pages.jobSheet(id, 'log')
    // Offline the browser itself opens the page, as it is stored on this device.
    void sent.then((isThere) => (isThere ? router.push(log) : window.location.assign(log)))
  }
  /** The steps of a line that are still open, all at once. */
  const finish = (line: ShortLine<SharedStep>) => {
    const open = line.steps.filter((one) => !isDone(one))
    const sent = open.map((one) => mark(one, true))
    if (line === lines.at(-1)) toLog(sent.at(-1) ?? Promise.resolve(true), ids[0])
    else goTo(steps.indexOf(requireValue(line.steps.at(-1) ?? steps[here])) + 1)
  }
  const goOn = () => {
    const current = isShort && lines.find(({ steps: own }) => own.includes(itemAt(steps, here)))
    if (current) return finish(current)
    const sent = mark(itemAt(steps, here), true)
    if (step.key === 'log') toLog(sent, ids[0])
    else if (!last) {
      const next = me === null ? -1 : nextOpen(here + 1)
      goTo(next < 0 ? here + 1 : next)
    }
  }
  const goBack = () => {
    const before = steps[here - 1]
    if (!before) return
    void mark(before, false)
    goTo(here - 1)
  }
  const backTo = (key: StepKey) =>
    goTo(
      Math.max(
        0,
        steps.findIndex((s) => s.step.key === key && s.members.includes(ids[0] as number)),
      ),
    )
  const ring = useCallback(() => say('Go on turning.'), [say])
  useKeys({ Space: goOn, Enter: goOn }, onControl)
  useKeys({ PageDown: goOn, ArrowRight: goOn, Backspace: goBack, PageUp: goBack, ArrowLeft: goBack })
  const canListen = useVoiceCommands(listening, {
    next: goOn,
    done: goOn,
    on: goOn,
    back: goBack,
    again: () => say(aloudAt(here)),
    repeat: () => say(aloudAt(here)),
  })
  if (!member || !job) return null
  const pictured = { jobId: job.jobId, step: step.key, pictures }

  return (
    <div className="grid gap-5 pt-4 lg:grid-cols-[15rem_minmax(0,1fr)]">
      <ol
        className="hidden max-h-[calc(100dvh-12rem)] overflow-y-auto text-sm lg:block"
        aria-label="All steps"
        tabIndex={-1}
      >
        {steps.map((s, i) => (
          <li key={`${s.step.key} ${s.members.join()}`}>
            <button
              type="button"
              onClick={() => goTo(i)}
              aria-current={i === here ? 'step' : undefined}
              className="flex min-h-9 w-full items-center gap-2 border-l-4 border-transparent px-3 text-left aria-[current=step]:border-verdigris aria-[current=step]:bg-verdigris-wash aria-[current=step]:font-semibold"
            >
              <span className="w-5 shrink-0 text-right text-soft">
                {isDone(s) ? <Check size={15} className="inline text-verdigris" aria-label="done" /> : i + 1}
              </span>
              <span>
                {s.step.title}
                {several && s.members.length === 1 && (
                  <span className="text-soft">
                    {' '}
                    · {members.find((m) => m.id === s.members[0])?.context.position.called.number}
                    {handsOf(s) && `, ${handsOf(s)}`}
                  </span>
                )}
              </span>
            </button>
          </li>
        ))}
      </ol>
      <section aria-live="polite" className="flex min-h-[28rem] flex-col">
        <div className="flex flex-wrap items-baseline justify-between gap-x-4">
          <p className="label">
            {isShort ? 'In short, for whoever has done it before' : `Step ${here + 1} of ${steps.length}`}
            {!isShort && several && ids.length === 1 && (
              <strong className="text-ink">
                , string {member.context.position.called.number}
                {job.hands && `, ${job.hands}`}
              </strong>
            )}
            {job.from === null && <span className="text-ochre">; no coil is chosen for it yet</span>}
          </p>
          <p className="ml-auto flex gap-1">
            <button
              type="button"
              className="button"
              aria-pressed={isShort}
              onClick={() => setLength(isShort ? 'full' : 'short')}
            >
              {isShort ? 'Every move' : 'Six lines'}
            </button>
            {canSpeak && (
              <button
                type="button"
                className="button"
                aria-pressed={aloud}
                onClick={() => {
                  setAloud(!aloud)
                  if (aloud) stop()
                  else say(aloudAt(here))
                }}
              >
                <Volume2 size={18} aria-hidden />
                <span className="sr-only sm:not-sr-only">{aloud ? 'Stop reading' : 'Read aloud'}</span>
              </button>
            )}
            {canListen && (
              <button
                type="button"
                className="button"
                aria-pressed={listening}
                onClick={() => setListening(!listening)}
              >
                <Mic size={18} aria-hidden />
                <span className="sr-only sm:not-sr-only">
                  {listening ? 'Stop listening' : 'Listen for “next”'}
                </span>
              </button>
            )}
          </p>
        </div>
        {interval && <IntervalPanel plan={interval} minutes={minutes} noHurry={() => setMinutes(0)} />}
        {isShort ? (
          <ShortWalk
            lines={lines}
            isDone={isDone}
            onDone={finish}
            stringOf={({ members: [id, ...others] }) =>
              several && others.length === 0
                ? `string ${members.find((one) => one.id === id)?.context.position.called.number}`
                : null
            }
          />
        ) : (
          <>
            <div className="flex flex-wrap items-center justify-between gap-3">
              <h2 className="text-3xl font-semibold md:text-4xl">{step.title}</h2>
              {step.key === 'to-pitch' && (
                <Link className="button" href={pages.instrumentSheet(instrument.slug, 'tune', job.number)}>
                  Hear how far to turn
                </Link>
              )}
            </div>
            <div className="mt-4 grid flex-1 grid-cols-[minmax(0,1fr)] gap-6 [grid-template-areas:'figures'_'words'_'asks'_'drawing'] md:grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)] md:grid-rows-[auto_auto_1fr] md:[grid-template-areas:'words_figures'_'words_asks'_'words_drawing']">
              <div className="[grid-area:words]">
                <BeforeItComesOff slug={instrument.slug} number={job.number} {...pictured} />
                <ol className="space-y-3 text-xl leading-relaxed">
                  {step.todo.map((phrase, i) => (
                    <li key={i} className="border-l-2 border-rule pl-4">
                      <PhraseText phrase={phrase} />
                    </li>
                  ))}
                </ol>
                <dl className="mt-5 space-y-2 text-base">
                  <div className="flex gap-3">
                    <dt className="w-24 shrink-0 font-semibold text-verdigris">Looks right</dt>
                    <dd>
                      <PhraseText phrase={step.right} />
                    </dd>
                  </div>
                  <div className="flex gap-3">
                    <dt className="w-24 shrink-0 font-semibold">Often wrong</dt>
                    <dd>
                      <PhraseText phrase={step.mistake} />
                    </dd>
                  </div>
                </dl>
                {step.cautions.map((caution) => (
                  <p key={caution} className="mt-4 flex gap-3 border-2 border-ochre bg-ochre-wash p-3">
                    <TriangleAlert className="mt-0.5 shrink-0 text-ochre" aria-hidden />
                    <span>
                      <strong>Take care.</strong> {CAUTIONS[caution]}
                    </span>
                  </p>
                ))}
                <AsItWas {...pictured} />
                {step.rest !== null && (
                  <div className="mt-4">
                    <RestTimer key={here} seconds={step.rest} onOver={ring} />
                  </div>
                )}
              </div>
              <div className="flex flex-wrap items-start gap-x-6 gap-y-3 [grid-area:figures]">
                {step.figures.map((figure) => (
                  <Figure
                    key={figure.label}
                    label={figure.label}
                    measure={figure.measure}
                    size={step.figures.length + (step.asks === null ? 0 : 1) > 2 ? 'large' : 'huge'}
                  />
                ))}
                {step.turning && <TurnArrow {...step.turning} />}
                {step.others.length > 0 && (
                  <details key={step.key} className="w-full">
                    <summary className="min-h-11 content-center text-soft">Other ways to measure it</summary>
                    <div className="flex flex-wrap gap-x-6 gap-y-2">
                      {step.others.map((figure) => (
                        <Figure key={figure.label} label={figure.label} measure={figure.measure} />
                      ))}
                    </div>
                  </details>
                )}
              </div>
              <div className="[grid-area:asks]">
                {step.asks !== null && ids.length === 1 && (
                  <MeasureEntry
                    key={`${job.jobId} ${step.asks}`}
                    jobId={job.jobId}
                    what={step.asks}
                    value={job.measured[step.asks]}
                    onKept={(value, isThere) => {
                      if (step.asks === 'turns') setTurns((had) => ({ ...had, [job.jobId]: value ?? 0 }))
                      if (isThere) router.refresh()
                    }}
                  />
                )}
              </div>
              <div className="[grid-area:drawing]">
                <StepDrawing step={step} context={member.context} jobId={member.id} />
              </div>
            </div>
            <div className="sticky bottom-14 z-10 -mx-1 mt-5 flex gap-2 border-t border-ink bg-paper px-1 py-3 md:bottom-0">
              <button
                type="button"
                className="button min-h-14 min-w-14 px-3 text-lg"
                aria-label="Back"
                onClick={goBack}
                disabled={here === 0}
              >
                <ArrowLeft aria-hidden />
                <span className="hidden sm:inline">Back</span>
              </button>
              {ids.length === 1 && (
                <MishapDialog
                  key={`${job.jobId} ${step.key}`}
                  jobId={job.jobId}
                  context={member.context}
                  step={step.key}
                  onBackTo={backTo}
                />
              )}
              <button
                type="button"
                className="button button-main min-h-14 min-w-0 flex-1 whitespace-nowrap px-2 text-lg sm:text-xl"
                onClick={goOn}
              >
                <Check aria-hidden /> {step.key === 'log' ? 'Done, log it' : 'Done, go on'}
              </button>
            </div>
          </>
        )}
      </section>
    </div>
  )
}

const tickOf = (jobId: number, step: StepKey) => `${jobId} ${step}`

/** Space and Enter on a button or a link belong to that control. */
function onControl(target: Element): boolean {
  return target.closest('button, a, summary') !== null || inField(target)
}
