import { QrDrawing } from './QrDrawing'

/** How labels lie on a screen and on the sheet they are cut from. */
export const LABELS_LAID_OUT =
  'mt-4 grid grid-cols-1 gap-0 sm:grid-cols-2 xl:grid-cols-3 print:mt-0 print:grid-cols-2'

interface PacketLabelProps {
  /** Where its code leads. */
  readonly address: string
  readonly title: string
  readonly lines: readonly string[]
}

/** A label to print and cut out, with a code that a camera opens. */
export function PacketLabel({ address, title, lines }: PacketLabelProps) {
  return (
    <li className="flex break-inside-avoid gap-3 border border-dashed border-line p-2 print:border-black print:text-black">
      <QrDrawing address={address} className="size-24 shrink-0" />
      <div className="min-w-0">
        <h2 className="text-lg leading-tight font-semibold">{title}</h2>
        {lines.map((line) => (
          <p key={line} className="text-xs leading-snug">
            {line}
          </p>
        ))}
      </div>
    </li>
  )
}
