import { CAUTIONS } from '@/core/fitting/caution'
import type { Step } from '@/core/fitting/step'
import { TurnArrow } from '@/drawings/TurnArrow'
import { PhraseText } from '@/ui/figure/PhraseText'

/** The moves of every step, for the back of the card: a page of its own on paper. */
export function EveryMove({ steps }: { readonly steps: readonly Step[] }) {
  return (
    <section
      aria-label="Every move"
      className="mt-4 break-before-page border-t border-ink pt-3 text-xs sm:columns-2 sm:gap-x-8 print:mt-0 print:columns-3 print:gap-x-4 print:border-0 print:text-[7.5pt] print:leading-tight"
    >
      {steps.map((step, i) => (
        <section key={step.key} className="mb-2 break-inside-avoid">
          <h2 className="text-sm font-semibold">
            {i + 1}. {step.title}
          </h2>
          {step.turning && <TurnArrow {...step.turning} isSmall />}
          <ol className="list-disc pl-4">
            {step.todo.map((phrase, k) => (
              <li key={k}>
                <PhraseText phrase={phrase} />
              </li>
            ))}
          </ol>
          {step.cautions.map((caution) => (
            <p key={caution} className="font-semibold">
              Take care. {CAUTIONS[caution]}
            </p>
          ))}
        </section>
      ))}
    </section>
  )
}
