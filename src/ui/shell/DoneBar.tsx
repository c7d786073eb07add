'use client'

import { useRouter } from 'next/navigation'
import { createContext, useCallback, useContext, useEffect, useState, type ReactNode } from 'react'
import { Undo2, X } from 'lucide-react'
import { send } from './send'

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
  const announce = useCallback<Announce>((sentence, actionId) => setDone({ sentence, actionId: actionId ?? null }), [])

  useEffect(() => {
    if (!done) return
    const timer = setTimeout(() => setDone(null), STAYS_MS)
    return () => clearTimeout(timer)
  }, [done])

  const undo = async () => {
    if (!done?.actionId) return
    const answer = await send(`/api/actions/${done.actionId}/undo`, {})
    setDone({ actionId: null, sentence: answer.ok ? 'Undone. It stays in the history, where it can be done again.' : answer.sentence })
    if (answer.ok) router.refresh()
  }

  return (
    <AnnounceContext value={announce}>
      {children}
      <div role="status" aria-live="polite" className="pointer-events-none fixed inset-x-0 bottom-16 z-40 flex justify-center px-3 md:bottom-4 print:hidden">
        {done && (
          <div className="pointer-events-auto flex max-w-xl items-center gap-3 border border-ink bg-ink py-2 pr-2 pl-4 text-paper shadow-lg">
            <span>{done.sentence}</span>
            {done.actionId !== null && (
              <button type="button" onClick={undo} className="inline-flex min-h-11 items-center gap-2 border border-paper/60 px-3 font-semibold">
                <Undo2 size={18} aria-hidden /> Undo
              </button>
            )}
            <button type="button" onClick={() => setDone(null)} className="inline-flex size-11 items-center justify-center" aria-label="Put this message away">
              <X size={18} aria-hidden />
            </button>
          </div>
        )}
      </div>
    </AnnounceContext>
  )
}

/** Announces what was done; give the action's id so that it can be undone there and then. */
export function useAnnounce(): Announce {
  return useContext(AnnounceContext)
}
