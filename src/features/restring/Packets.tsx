import { memo } from 'react'
import { pages } from '@/boundary/paths'
import { measure } from '@/core/measure'
import type { PieceAsked } from '@/data/views/restring-view'
import { LABELS_LAID_OUT, PacketLabel } from '@/drawings/PacketLabel'
import { measureText } from '@/ui/format/measure'
import { PrintButton } from '@/ui/shell/PrintButton'
import { useWorkshop } from '@/ui/units'

/** A packet, when it is wanted and by whom. */
export interface Packet {
  readonly id: number
  /** From 0. */
  readonly go: number
  /** From 1; null where the sessions are not known. */
  readonly session: number | null
  /** Empty where one does all. */
  readonly hands: string
  /** Null where the stores have none. */
  readonly from: { readonly label: string; readonly place: string } | null
}

interface PacketsProps {
  /** Where the codes lead: scheme and host. */
  readonly origin: string
  readonly slug: string
  readonly pieces: readonly PieceAsked[]
  /** In the order in which they go on. */
  readonly packets: readonly Packet[]
}

/** A label for each packet, in the order of the work: laid out so, the next one is always the nearest. */
export const Packets = memo(function Packets({ origin, slug, pieces, packets }: PacketsProps) {
  const { units } = useWorkshop()
  const byId = new Map(pieces.map((piece) => [piece.id, piece]))
  return (
    <details className="mt-5 border-t border-ink pt-3 print:mt-0 print:border-0 print:pt-0">
      <summary className="min-h-8 text-xl font-semibold print:hidden">
        Packets, laid out in the order of the work
      </summary>
      <p className="text-soft print:hidden">
        Cut out a label for each packet and lay them out in this order. A camera held to a code opens its
        string.
      </p>
      <div className="mt-2 print:hidden">
        <PrintButton isMain={false} />
      </div>
      <ul className={LABELS_LAID_OUT} aria-label="Packets in the order of the work">
        {packets.map(({ id, go, session, hands, from }, i) => {
          const piece = byId.get(id)
          if (!piece) return null
          return (
            <PacketLabel
              key={id}
              address={`${origin}${pages.instrument(slug, id)}`}
              title={`${i + 1}. ${piece.name}`}
              lines={[
                [session === null ? null : `Session ${session}`, `go ${go + 1}`, hands]
                  .filter(Boolean)
                  .join(', '),
                `${piece.what} ${measureText(measure('gauge', piece.gauge), units)}, cut ${measureText(measure('length', piece.cut), units)}`,
                from ? `from ${from.label}, ${from.place}` : 'no packet yet',
              ]}
            />
          )
        })}
      </ul>
    </details>
  )
})
