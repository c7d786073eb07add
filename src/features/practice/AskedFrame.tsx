'use client'

import { useEffect, useRef, type ReactNode } from 'react'

export interface Told {
  readonly isRight: boolean
  /** What it was, where it was not right: `It was the 3rd-octave G.` */
  readonly was: string
  readonly teaches: ReactNode
}

interface AskedFrameProps {
  readonly picture: ReactNode
  readonly asks: string
  readonly count: string
  readonly isLast: boolean
  /** Null while it is asked. */
  readonly told: Told | null
  readonly onNext: () => void
  readonly children: ReactNode
}

/** A question beside its picture; answered, it says what there is to learn, and leads on. */
export function AskedFrame({ picture, asks, count, isLast, told, onNext, children }: AskedFrameProps) {
  const next = useRef<HTMLButtonElement>(null)
  const isTold = told !== null
  useEffect(() => {
    // Read aloud first, by its place in the page.
    if (isTold) next.current?.focus()
  }, [isTold])
  return (
    <div className="mt-3 grid gap-x-6 gap-y-3 md:grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)]">
      <div className="min-w-0">{picture}</div>
      <div className="min-w-0">
        <p className="label">Question {count}</p>
        <h2 className="text-xl font-semibold">{asks}</h2>
        {children}
        <div aria-live="polite" className="mt-4 min-h-28">
          {told && (
            <>
              <p className="text-lg">
                <strong>{told.isRight ? 'Right.' : told.was}</strong> {told.teaches}
              </p>
              <button ref={next} type="button" className="button button-main mt-3 min-h-12" onClick={onNext}>
                {isLast ? 'How it went' : 'Next'}
              </button>
            </>
          )}
        </div>
      </div>
    </div>
  )
}
