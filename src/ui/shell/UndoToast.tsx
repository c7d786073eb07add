'use client'

import { useRouter } from 'next/navigation'
import {
  createContext,
  lazy,
  Suspense,
  useCallback,
  useContext,
  useEffect,
  useState,
  type ReactNode,
} from 'react'
import { send } from './send'
import { endpoints } from '@/boundary/endpoints'

interface Done {
  readonly actionId: number | null
  readonly sentence: string
}

type Announce = (sentence: string, actionId?: number) => void

/** Fetched with the first thing that is done. */
const DoneMessage = lazy(() => import('./DoneMessage').then((module) => ({ default: module.DoneMessage })))

const AnnounceContext = createContext<Announce>(() => {})
const STAYS_MS = 20_000

/** Says what was done, with its undoing beside it; stays while one moves from page to page. */
export function UndoToast({ children }: { children: ReactNode }) {
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
    const answer = await send(endpoints.undo(done.actionId), {})
    setDone({
      actionId: null,
      sentence: answer.ok ? 'Undone. It stays in the history, where it can be done again.' : answer.sentence,
    })
    if (answer.ok) router.refresh()
  }

  return (
    <AnnounceContext value={announce}>
      <div role="status" aria-live="polite" className="sticky top-0 z-40 print:hidden">
        <Suspense>
          {done && (
            <DoneMessage
              sentence={done.sentence}
              undo={done.actionId === null ? null : undo}
              putAway={() => setDone(null)}
            />
          )}
        </Suspense>
      </div>
      {children}
    </AnnounceContext>
  )
}

/** Announces what was done; give the action's id so that it can be undone there and then. */
export function useAnnounce(): Announce {
  return useContext(AnnounceContext)
}
