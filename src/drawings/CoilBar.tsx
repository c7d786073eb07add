'use client'

import { measure } from '@/core/measure'
import { measureText } from '@/ui/format/measure'
import { useWorkshop } from '@/ui/units'

/** Below this share of the bar there is no room for a figure. */
const NARROW = 0.13

interface CoilBarProps {
  /** m */
  readonly bought: number
  readonly left: number
  /** Past cuts, m. */
  readonly cuts: readonly number[]
  /** The cut planned now, m. */
  readonly planned?: number
  /** The length that fills the whole width, m; longer coils are drawn as wide as that. */
  readonly fills: number
}

/** A coil as its length: past cuts faint, the cut planned hatched, what is left plain; to scale. */
export function CoilBar({ bought, left, cuts, planned = 0, fills }: CoilBarProps) {
  const { units } = useWorkshop()
  const text = (length: number) => measureText(measure('length', length), units)
  const shown = Math.min(1, bought / fills)
  const share = (length: number) => `${(length / bought) * 100}%`
  const tooShort = planned > left
  const remains = tooShort ? left : left - planned
  return (
    <div
      className="flex h-8 border border-line"
      style={{ width: `${shown * 100}%` }}
      role="img"
      aria-label={`${text(left)} left of ${text(bought)}${planned ? `; the cut is ${text(planned)}` : ''}`}
    >
      {cuts.map((cut, i) => (
        <div key={i} style={{ width: share(cut) }} className="border-r border-dashed border-line bg-linen" />
      ))}
      {planned > 0 && !tooShort && (
        <div
          style={{ width: share(planned) }}
          className="grid place-items-center overflow-hidden border-r-2 border-ink bg-[repeating-linear-gradient(135deg,var(--verdigris-wash)_0_5px,transparent_5px_9px)] text-xs"
        >
          {(planned / bought) * shown > NARROW && (
            <span className="bg-paper/85 px-1 whitespace-nowrap">{text(planned)}</span>
          )}
        </div>
      )}
      <div className="grid flex-1 place-items-center overflow-hidden bg-paper text-xs text-soft">
        {(remains / bought) * shown > NARROW && (
          <span className="px-1 whitespace-nowrap">{text(remains)}</span>
        )}
      </div>
    </div>
  )
}
