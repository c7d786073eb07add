import type { ReactNode } from 'react'
import { HandKey } from './Hand'

/** Small pictures of one move each, in order, each with its sentence; above them which hand is drawn how. */
export function Frames<Frame extends { readonly says: string }>({
  label,
  filled,
  open,
  frames,
  draw,
}: {
  readonly label: string
  /** What the filled hand is, and what the open one. */
  readonly filled: string
  readonly open: string
  readonly frames: readonly Frame[]
  readonly draw: (frame: Frame) => ReactNode
}) {
  return (
    <section aria-label={label} className="mt-3">
      <p className="flex flex-wrap gap-x-4 text-sm text-soft">
        <HandKey isFilled>{filled}</HandKey>
        <HandKey>{open}</HandKey>
      </p>
      <ol className="mt-1 grid grid-cols-2 gap-3 sm:grid-cols-3">
        {frames.map((frame, i) => (
          <li key={frame.says} className="text-sm">
            {draw(frame)}
            {i + 1}. {frame.says}
          </li>
        ))}
      </ol>
    </section>
  )
}
