import type { useDrag } from './use-drag'

interface HandleProps {
  readonly drag: ReturnType<typeof useDrag>
  readonly at: readonly [x: number, y: number]
  /** Of the knob, in the drawing's units; what can be grasped is twice as wide. */
  readonly r: number
  readonly name?: string
}

/** A knob to drag in a drawing. */
export function Handle({ drag, at: [x, y], r, name }: HandleProps) {
  return (
    <g {...drag} data-handle={name} style={{ cursor: 'grab', touchAction: 'none' }}>
      <circle cx={x} cy={y} r={r * 2.2} fill="transparent" />
      <circle cx={x} cy={y} r={r} fill="var(--verdigris)" stroke="var(--paper)" strokeWidth={r * 0.25} />
    </g>
  )
}
