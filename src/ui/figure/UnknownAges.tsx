import { unknownAgesText } from '../format/unknown-ages'

interface UnknownAgesProps {
  /** Strings of which nobody recorded since when they are on. */
  readonly unknown: number
  /** All that the figure beside it counts. */
  readonly of: number
}

/** What a chance rests on where ages are not known; nothing where all are. */
export function UnknownAges({ unknown, of }: UnknownAgesProps) {
  const text = unknownAgesText(unknown, of)
  return text === '' ? null : (
    <span className="block max-w-prose border-l-2 border-ochre pl-2 text-sm font-semibold text-ochre">
      {text}
    </span>
  )
}
