import Link from 'next/link'
import { calls } from '@/boundary/calls'
import { pages } from '@/boundary/paths'
import { measure } from '@/core/measure'
import { moneyText } from '@/core/stores/money'
import type { PieceAsked, RestringView } from '@/data/views/restring-view'
import { measureText } from '@/ui/format/measure'
import { PlainTable, type TableHead } from '@/ui/list/PlainTable'
import { useAct } from '@/ui/shell/use-act'
import { useHouse } from '@/ui/units'

const HEADS: readonly TableHead[] = [
  { word: 'String' },
  { word: 'Asked for', isFigure: true },
  { word: 'In the stores', isFigure: true },
  { word: 'Lies in', isSpare: true },
]

interface MaterialsProps {
  readonly view: RestringView
  /** Pieces in the order in which they go on. */
  readonly inOrder: readonly number[]
}

/** What the set needs against the stores, in the order of the work; what is missing goes on the need list by one press. */
export function Materials({ view: { pieces, stores, currency }, inOrder }: MaterialsProps) {
  const { units } = useHouse()
  const { act, refused } = useAct()
  const lines = linesOf(pieces, inOrder).map((line) => ({
    ...line,
    there: stores[line.kind]?.cuts ?? 0,
    from: stores[line.kind]?.from ?? null,
  }))
  const missing = lines.filter(({ all, there }) => there < all.length)
  const count = missing.reduce((sum, { all, there }) => sum + all.length - there, 0)
  const priced = missing.every(({ longest }) => longest.price !== null)
  const cost = missing.reduce(
    (sum, { all, there, longest }) => sum + (all.length - there) * (longest.price ?? 0),
    0,
  )
  const list = () =>
    act(
      calls.addNeeds,
      {
        wanted: missing.map(({ longest, all, there }) => ({
          positionId: longest.positionId,
          jobId: null,
          quantity: all.length - there,
        })),
      },
      'What is missing is on the need list.',
    )
  return (
    <section aria-labelledby="materials">
      <h2 id="materials" className="text-xl font-semibold">
        Strings first
      </h2>
      <p className="text-soft">
        {count === 0
          ? 'The stores hold all of it.'
          : `${count} of ${inOrder.length} are missing${priced ? `: ${moneyText(cost, currency)} one by one` : ''}. A set may be cheaper: the order plan says.`}
      </p>
      <div className="mt-2 flex flex-wrap gap-2">
        {count > 0 && (
          <button type="button" className="button" onClick={() => void list()}>
            Put what is missing on the need list
          </button>
        )}
        <Link href={pages.orders} className="button" prefetch={false}>
          Need list and orders
        </Link>
        <Link href={pages.labels} className="button" prefetch={false}>
          Labels for packets
        </Link>
      </div>
      {refused && (
        <p role="alert" className="mt-2 font-semibold text-ochre">
          {refused.sentence}
        </p>
      )}
      <details className="mt-2">
        <summary className="min-h-8 font-semibold">Packets, laid out in the order of the work</summary>
        <PlainTable label="Packets in the order of the work" heads={HEADS}>
          {lines.map(({ kind, all, longest, there, from }) => (
            <tr key={kind} className="border-b border-rule">
              <th className="py-1.5 pr-3 font-normal">
                <span className="font-semibold">
                  {longest.what} {measureText(measure('gauge', longest.gauge), units)}
                </span>
                , up to {measureText(measure('length', longest.cut), units)}
                <span className="block text-sm text-soft">{all.map(({ name }) => name).join(', ')}</span>
              </th>
              <td className="py-1.5 pr-3 text-right">{all.length}</td>
              <td
                className={`py-1.5 pr-3 text-right ${there < all.length ? 'font-semibold text-ochre' : ''}`}
              >
                {there < all.length ? `! ${there}` : there}
              </td>
              <td className="hidden py-1.5 text-sm text-soft sm:table-cell">{from}</td>
            </tr>
          ))}
        </PlainTable>
      </details>
    </section>
  )
}

interface Line {
  readonly kind: string
  readonly all: readonly PieceAsked[]
  readonly longest: PieceAsked
}

/** Kinds in the order in which the first string of each goes on. */
function linesOf(pieces: readonly PieceAsked[], inOrder: readonly number[]): readonly Line[] {
  const kinds = new Map<string, PieceAsked[]>()
  for (const id of inOrder) {
    const piece = pieces.find((one) => one.id === id)
    if (!piece) continue
    const of = kinds.get(piece.kind)
    if (of) of.push(piece)
    else kinds.set(piece.kind, [piece])
  }
  return [...kinds].map(([kind, all]) => ({
    kind,
    all,
    longest: all.reduce((a, b) => (b.cut > a.cut ? b : a)),
  }))
}
