'use client'

import { LifeBuoy } from 'lucide-react'
import { useRouter } from 'next/navigation'
import { Dialog } from 'radix-ui'
import { useState } from 'react'
import { endpoints } from '@/boundary/endpoints'
import { pages } from '@/boundary/paths'
import type { FittingContext } from '@/core/fitting/context'
import { waysBack, type WayBack } from '@/core/fitting/mishaps'
import type { StepKey } from '@/core/fitting/step'
import { PhraseText } from '@/ui/figure/PhraseText'
import { useAct } from '@/ui/shell/use-act'

interface MishapDialogProps {
  readonly jobId: number
  readonly context: FittingContext
  readonly step: StepKey
  /** Goes to a step of this job. */
  readonly onBackTo: (step: StepKey) => void
}

/** What can go wrong in this step, and the way back from it; choosing one logs it. */
export function MishapDialog({ jobId, context, step, onBackTo }: MishapDialogProps) {
  const router = useRouter()
  const { act, refused } = useAct()
  const [open, setOpen] = useState(false)
  const [chosen, setChosen] = useState<WayBack | null>(null)
  const ways = waysBack(context, step)
  if (ways.length === 0) return null

  const log = async (way: WayBack) => {
    const done = await act(
      endpoints.logMishap(jobId),
      { step, mishap: way.mishap },
      `Logged: ${way.word.toLowerCase()}.`,
    )
    if (!done) return
    setOpen(false)
    setChosen(null)
    if (way.loses !== 'nothing') router.push(pages.jobSheet(jobId, 'coil'))
    else onBackTo(way.backTo ?? step)
  }

  return (
    <Dialog.Root
      open={open}
      onOpenChange={(is) => {
        setOpen(is)
        if (!is) setChosen(null)
      }}
    >
      <Dialog.Trigger className="button min-h-14 px-3" aria-label="Something went wrong">
        <LifeBuoy aria-hidden size={20} /> <span className="hidden sm:inline">Something went wrong</span>
        <span className="sm:hidden">Wrong?</span>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-50 bg-ink/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="sheet fixed top-1/2 left-1/2 z-50 max-h-[92dvh] w-[min(38rem,94vw)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto p-5 md:p-6"
        >
          <Dialog.Title className="text-xl font-semibold">
            {chosen ? chosen.word : 'What went wrong?'}
          </Dialog.Title>
          {chosen ? (
            <>
              <ol className="mt-3 space-y-3 text-lg">
                {chosen.todo.map((phrase, i) => (
                  <li key={i} className="border-l-2 border-rule pl-4">
                    <PhraseText phrase={phrase} />
                  </li>
                ))}
              </ol>
              {refused && (
                <p role="alert" className="mt-3 font-semibold text-ochre">
                  {refused.sentence}
                </p>
              )}
              <div className="mt-5 flex flex-wrap gap-2">
                <button type="button" className="button button-main min-h-12" onClick={() => log(chosen)}>
                  {goWord(chosen)}
                </button>
                <button type="button" className="button min-h-12" onClick={() => setChosen(null)}>
                  Something else
                </button>
              </div>
            </>
          ) : (
            <>
              <ul className="ruled mt-2">
                {ways.map((way) => (
                  <li key={way.mishap}>
                    <button
                      type="button"
                      className="flex min-h-12 w-full items-center px-2 text-left text-lg hover:bg-verdigris-wash"
                      onClick={() => setChosen(way)}
                    >
                      {way.word}
                    </button>
                  </li>
                ))}
              </ul>
              <Dialog.Close className="button mt-4">Nothing, go on</Dialog.Close>
            </>
          )}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}

function goWord({ loses, backTo }: WayBack): string {
  if (loses !== 'nothing') return 'Log it, and choose a coil'
  return backTo === null ? 'Log it, and go on here' : 'Log it, and go back'
}
