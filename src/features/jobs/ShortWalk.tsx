import { Check, TriangleAlert } from 'lucide-react'
import { CAUTIONS } from '@/core/fitting/caution'
import type { ShortLine } from '@/core/fitting/short-walk'
import type { SharedStep } from '@/core/fitting/together'
import { TurnArrow } from '@/drawings/TurnArrow'
import { Figure } from '@/ui/figure/Figure'
import { PhraseText } from '@/ui/figure/PhraseText'

interface ShortWalkProps {
  readonly lines: readonly ShortLine<SharedStep>[]
  readonly isDone: (step: SharedStep) => boolean
  /** All steps of a line are done; the last of them leads to the log. */
  readonly onDone: (line: ShortLine<SharedStep>) => void
  /** `2nd-octave A`, where a step is one string’s of several. */
  readonly stringOf: (step: SharedStep) => string | null
}

/** The fitting in six lines, for whoever has done it before; each opens to its moves. */
export function ShortWalk({ lines, isDone, onDone, stringOf }: ShortWalkProps) {
  const here = lines.findIndex(({ steps }) => !steps.every(isDone))
  return (
    <ol aria-label="In six lines" className="mt-3">
      {lines.map((line, i) => {
        const done = line.steps.every(isDone)
        return (
          <li
            key={line.name}
            aria-current={i === here ? 'step' : undefined}
            className="border-l-4 border-t border-rule border-l-transparent py-3 pl-3 aria-[current=step]:border-l-verdigris"
          >
            <div className="flex items-start justify-between gap-x-5">
              <div className="min-w-0 flex-1">
                <h3 className={`text-2xl font-semibold ${done ? 'text-soft' : ''}`}>
                  {i + 1}. {line.name}
                </h3>
                {line.differs.length > 0 && (
                  <p className="font-semibold text-verdigris">Here also: {line.differs.join('; ')}.</p>
                )}
                <p className="text-soft">
                  <PhraseText phrase={line.check} />
                </p>
              </div>
              <button
                type="button"
                className={`button min-h-12 ${i === here ? 'button-main' : ''}`}
                disabled={done}
                onClick={() => onDone(line)}
              >
                <Check size={18} aria-hidden /> {!done && i === lines.length - 1 ? 'Done, log it' : 'Done'}
              </button>
            </div>
            {line.figures.length + line.turnings.length > 0 && (
              <div className="flex flex-wrap items-start gap-x-6 gap-y-2">
                {line.figures.map(({ label, measure }) => (
                  <Figure key={`${label} ${measure.value}`} label={label} measure={measure} />
                ))}
                {line.turnings.map((turning) => (
                  <TurnArrow key={turning.does} {...turning} isSmall />
                ))}
              </div>
            )}
            {line.cautions.map((caution) => (
              <p key={caution} className="mt-2 flex gap-2 bg-ochre-wash p-2">
                <TriangleAlert size={18} className="mt-0.5 shrink-0 text-ochre" aria-hidden />
                <span>
                  <strong>Take care.</strong> {CAUTIONS[caution]}
                </span>
              </p>
            ))}
            <details className="mt-1">
              <summary className="min-h-11 content-center text-soft">Every move</summary>
              {line.steps.map((one) => (
                <section key={`${one.step.key} ${one.members.join()}`} className="mb-3">
                  <h4 className="font-semibold">
                    {one.step.title}
                    {stringOf(one) && <span className="text-soft"> · {stringOf(one)}</span>}
                  </h4>
                  <ol className="space-y-1">
                    {one.step.todo.map((phrase, k) => (
                      <li key={k} className="border-l-2 border-rule pl-3">
                        <PhraseText phrase={phrase} />
                      </li>
                    ))}
                  </ol>
                </section>
              ))}
            </details>
          </li>
        )
      })}
    </ol>
  )
}
