'use client'

import { useRouter } from 'next/navigation'
import { createContext, useCallback, useContext, useEffect, useState, type ReactNode } from 'react'
import { Undo2, X } from 'lucide-react'
import { send } from './send'
import { calls } from '@/boundary/calls'

interface Done {
  readonly actionId: number | null
  readonly sentence: string
}

type Announce = (sentence: string, actionId?: number) => void

const AnnounceContext = createContext<Announce>(() => {})
const STAYS_MS = 20_000

/** Says what was done, with its undoing beside it; stays while one moves from page to page. */
export function DoneBar({ children }: { children: ReactNode }) {
  const [done, setDone] = useState<Done | null>(null)
  const router = useRouter()
  const announce = useCallback<Announce>(
    (sentence, actionId) => setDone({ sentence, actionId: actionId ?? null }),
    [],
  )

  useEffect(() => {
    if (!done) return
    const timer = setTimeout(() => setDone(null), STAYS_MS)
    return () => clearTimeout(timer)
  }, [done])

  const undo = async () => {
    if (!done?.actionId) return
    const answer = await send(calls.undo(done.actionId), {})
    setDone({
      actionId: null,
      sentence: answer.ok ? 'Undone. It stays in the history, where it can be done again.' : answer.sentence,
    })
    if (answer.ok) router.refresh()
  }

  return (
    <AnnounceContext value={announce}>
      <div role="status" aria-live="polite" className="sticky top-0 z-40 print:hidden">
        {done && (
          <div className="flex items-center justify-center gap-3 bg-ink px-4 py-1.5 text-paper">
            <span className="min-w-0">{done.sentence}</span>
            {done.actionId !== null && (
              <button
                type="button"
                onClick={undo}
                className="inline-flex min-h-11 items-center gap-2 border border-paper/60 px-3 font-semibold"
              >
                <Undo2 size={18} aria-hidden /> Undo
              </button>
            )}
            <button
              type="button"
              onClick={() => setDone(null)}
              className="inline-flex size-11 items-center justify-center"
              aria-label="Put this message away"
            >
              <X size={18} aria-hidden />
            </button>
          </div>
        )}
      </div>
      {children}
    </AnnounceContext>
  )
}

/** Announces what was done; give the action's id so that it can be undone there and then. */
export function useAnnounce(): Announce {
  return useContext(AnnounceContext)
}
