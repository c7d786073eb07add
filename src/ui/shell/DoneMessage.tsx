'use client'

import { Undo2, X } from 'lucide-react'

interface DoneMessageProps {
  readonly sentence: string
  /** Null where it can't be undone from here. */
  readonly undo: (() => void) | null
  readonly putAway: () => void
}

/** What was done, in a sentence, with its undoing. */
export function DoneMessage({ sentence, undo, putAway }: DoneMessageProps) {
  return (
    <div className="flex items-center justify-center gap-3 bg-ink px-4 py-1.5 text-paper">
      <span className="min-w-0">{sentence}</span>
      {undo && (
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
        onClick={putAway}
        className="inline-flex size-11 items-center justify-center"
        aria-label="Put this message away"
      >
        <X size={18} aria-hidden />
      </button>
    </div>
  )
}
