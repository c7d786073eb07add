'use client'

import { useRouter } from 'next/navigation'
import { useEffect, useRef } from 'react'
import { putAway, sendWaiting } from './outbox'
import { useOutbox } from './use-outbox'

/** How often the house is asked again while something waits for it, ms. */
const ASKED_EVERY = 8000

/** Says what waits on this device while the house does not answer, sends it when it does, and tells what was not taken. */
export function WaitingBar() {
  const router = useRouter()
  const { waits, notTaken, away, taken } = useOutbox()
  const isWaiting = waits.length > 0
  useEffect(() => {
    if (!isWaiting) return
    const ask = () => void sendWaiting()
    ask()
    const timer = setInterval(ask, ASKED_EVERY)
    addEventListener('online', ask)
    document.addEventListener('visibilitychange', ask)
    return () => {
      clearInterval(timer)
      removeEventListener('online', ask)
      document.removeEventListener('visibilitychange', ask)
    }
  }, [isWaiting])
  // The page shows what the house has by now, once all of it has come or some was not taken.
  const shownBy = useRef('0 0')
  useEffect(() => {
    const now = `${taken} ${notTaken.length}`
    if (isWaiting || now === shownBy.current) return
    shownBy.current = now
    router.refresh()
  }, [router, isWaiting, taken, notTaken.length])
  return (
    <div role="status" aria-label="What waits for the house">
      {isWaiting && away && (
        <div className="flex flex-wrap items-center justify-center gap-x-4 bg-ochre-wash px-4 py-1">
          <details className="min-w-0">
            <summary className="min-h-11 content-center">
              <strong>The house does not answer.</strong> Go on:{' '}
              {waits.length === 1 ? 'one thing waits' : `${waits.length} things wait`} here, and{' '}
              {waits.length === 1 ? 'is' : 'are'} sent when it does.
            </summary>
            <ol className="mb-2 list-decimal pl-6 text-sm">
              {waits.map(({ key, said }) => (
                <li key={key}>{said}</li>
              ))}
            </ol>
          </details>
          <button type="button" className="button" onClick={() => void sendWaiting()}>
            Try now
          </button>
        </div>
      )}
      {notTaken.length > 0 && (
        <div
          role="alert"
          className="flex flex-wrap items-center justify-center gap-x-4 bg-ochre-wash px-4 py-1"
        >
          <div className="min-w-0">
            {notTaken.length > 1 && (
              <strong>{notTaken.length} things that you did offline were not saved.</strong>
            )}
            <ul>
              {notTaken.map(({ key, said, sentence }) => (
                <li key={key}>
                  <strong>Not saved: {said}.</strong> {sentence}
                </li>
              ))}
            </ul>
          </div>
          <button type="button" className="button" onClick={() => putAway(notTaken.map(({ key }) => key))}>
            I have read it
          </button>
        </div>
      )}
    </div>
  )
}
