'use client'

import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { ArrowLeft, Check, TriangleAlert } from 'lucide-react'
import { useHotkeys } from 'react-hotkeys-hook'
import type { FittingFigures } from '@/core/fitting/figures'
import type { Step } from '@/core/fitting/step'
import type { Instrument } from '@/core/instrument/instrument'
import { CutDrawing } from '@/ui/drawings/CutDrawing'
import { KeyDial } from '@/ui/drawings/KeyDial'
import { PinDrawing } from '@/ui/drawings/PinDrawing'
import { SlackDrawing } from '@/ui/drawings/SlackDrawing'
import { Figure } from '@/ui/figure/Figure'
import { PhraseText } from '@/ui/figure/PhraseText'
import { send } from '@/ui/shell/send'

interface StepByStepProps {
  readonly jobId: number
  readonly instrument: Instrument
  readonly figures: FittingFigures
  readonly steps: readonly Step[]
  readonly done: readonly string[]
}

/** The fitting, one step at a time, with both hands busy: large, and moved by Space or a page-turner. */
export function StepByStep({ jobId, instrument, figures, steps, done }: StepByStepProps) {
  const firstOpen = steps.findIndex((step) => !done.includes(step.key))
  const [at, setAt] = useState(firstOpen < 0 ? steps.length - 1 : firstOpen)
  const [problem, setProblem] = useState<string | null>(null)
  const router = useRouter()
  const step = steps[at] as Step
  const last = at === steps.length - 1

  const mark = async (key: string, isDone: boolean) => {
    const answer = await send(`/api/jobs/${jobId}/steps`, { step: key, done: isDone })
    setProblem(answer.ok ? null : answer.sentence)
  }
  const goOn = () => {
    void mark(step.key, true)
    if (last) router.push(`/jobs/${jobId}/log`)
    else setAt(at + 1)
  }
  const goBack = () => {
    const before = steps[at - 1]
    if (!before) return
    void mark(before.key, false)
    setAt(at - 1)
  }
  useHotkeys('space, enter, pagedown, right', (event) => { event.preventDefault(); goOn() }, { ignoreEventWhen: onControl }, [at])
  useHotkeys('backspace, pageup, left', (event) => { event.preventDefault(); goBack() }, { ignoreEventWhen: inField }, [at])

  return (
    <div className="grid gap-5 pt-4 lg:grid-cols-[15rem_minmax(0,1fr)]">
      <ol className="hidden text-sm lg:block" aria-label="All steps">
        {steps.map((s, i) => (
          <li key={s.key}>
            <button type="button" onClick={() => setAt(i)} aria-current={i === at ? 'step' : undefined} className="flex min-h-9 w-full items-center gap-2 border-l-4 border-transparent px-3 text-left aria-[current=step]:border-verdigris aria-[current=step]:bg-verdigris-wash aria-[current=step]:font-semibold">
              <span className="w-5 text-right text-soft">{i < at ? <Check size={15} className="inline text-verdigris" aria-label="done" /> : i + 1}</span> {s.title}
            </button>
          </li>
        ))}
      </ol>
      <section aria-live="polite" className="flex min-h-[28rem] flex-col">
        <p className="label">Step {at + 1} of {steps.length}</p>
        <h2 className="text-3xl font-semibold md:text-4xl">{step.title}</h2>
        <div className="mt-4 grid flex-1 gap-6 [grid-template-areas:'figures'_'words'_'drawing'] md:grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)] md:grid-rows-[auto_1fr] md:[grid-template-areas:'words_figures'_'words_drawing']">
          <div className="[grid-area:words]">
            <ol className="space-y-3 text-xl leading-relaxed">
              {step.todo.map((phrase, i) => <li key={i} className="border-l-2 border-rule pl-4"><PhraseText phrase={phrase} /></li>)}
            </ol>
            <dl className="mt-5 space-y-2 text-base">
              <div className="flex gap-3"><dt className="w-24 shrink-0 font-semibold text-verdigris">Looks right</dt><dd><PhraseText phrase={step.right} /></dd></div>
              <div className="flex gap-3"><dt className="w-24 shrink-0 font-semibold">Often wrong</dt><dd><PhraseText phrase={step.mistake} /></dd></div>
            </dl>
            {step.caution && <p className="mt-4 flex gap-3 border-2 border-ochre bg-ochre-wash p-3"><TriangleAlert className="mt-0.5 shrink-0 text-ochre" aria-hidden /><span><strong>Take care.</strong> {step.caution}</span></p>}
          </div>
          {step.figures.length > 0 && (
            <div className="flex flex-wrap gap-x-8 gap-y-3 [grid-area:figures]">
              {step.figures.map((figure) => <Figure key={figure.label} label={figure.label} measure={figure.measure} size="huge" />)}
            </div>
          )}
          <div className="[grid-area:drawing]"><StepDrawing step={step} instrument={instrument} figures={figures} /></div>
        </div>
        {problem && <p role="alert" className="mt-3 font-semibold text-ochre">{problem}</p>}
        <div className="sticky bottom-14 z-10 -mx-1 mt-5 flex gap-3 border-t border-ink bg-paper px-1 py-3 md:bottom-0">
          <button type="button" className="button min-h-14 px-5 text-lg" onClick={goBack} disabled={at === 0}><ArrowLeft aria-hidden /> Back</button>
          <button type="button" className="button button-main min-h-14 flex-1 text-xl" onClick={goOn}><Check aria-hidden /> {last ? 'Done, log it' : 'Done, go on'}</button>
        </div>
      </section>
    </div>
  )
}

/** Space and Enter on a button or a link belong to that control. */
function onControl(event: KeyboardEvent): boolean {
  return isWithin(event.target, 'button, a, summary') || inField(event)
}

function inField(event: KeyboardEvent): boolean {
  return isWithin(event.target, 'input, textarea, select, [role="dialog"]')
}

function isWithin(target: EventTarget | null, selector: string): boolean {
  return target instanceof HTMLElement && target.closest(selector) !== null
}

function StepDrawing({ step, instrument, figures }: { step: Step; instrument: Instrument; figures: FittingFigures }) {
  const string = figures.strings[0]
  if (!string) return null
  switch (step.picture) {
    case 'cut': return <CutDrawing cut={figures.cut} />
    case 'pin': return <PinDrawing figures={string} className="h-80 w-full" />
    case 'key': return <KeyDial keyFigures={string.key} clockwise={string.position.head.pin.tightens === 'clockwise'} className="h-72 w-full" />
    case 'slack': return <SlackDrawing instrument={instrument} figures={string} />
    case null: return null
  }
}
