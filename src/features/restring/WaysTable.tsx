import type { RestringWay } from '@/core/restring/taught-ways'
import { PlainTable, type TableHead } from '@/ui/list/PlainTable'
import type { JudgedWay } from '@/workers/restring.worker'
import { hoursText, percentText, WAY_WORDS } from './words'

const HEADS: readonly TableHead[] = [
  { word: 'Way' },
  { word: 'Lowest load', isFigure: true },
  { word: 'Centre moves', isFigure: true, isSpare: true },
  { word: 'Goes', isFigure: true },
  { word: 'Laid down', isFigure: true, isSpare: true },
  { word: 'Rounds', isFigure: true, isSpare: true },
  { word: 'Time', isFigure: true },
]

interface WaysTableProps {
  readonly ways: readonly JudgedWay[]
  /** Null where an order by hand is shown. */
  readonly chosen: RestringWay | null
  readonly least: number
  readonly onChoose: (way: RestringWay) => void
}

/** The ways to restring beside each other. None is wrong: each asks for something else. */
export function WaysTable({ ways, chosen, least, onChoose }: WaysTableProps) {
  return (
    <PlainTable label="Ways to restring" heads={HEADS}>
      {ways.map((one) => (
        <tr
          key={one.way}
          className={`border-b border-rule ${one.way === chosen ? 'bg-verdigris-wash font-semibold' : ''}`}
        >
          <th className="pr-3 font-[inherit]">
            <label className="flex min-h-11 items-center gap-2">
              <input
                type="radio"
                name="way"
                className="size-5 shrink-0 accent-verdigris"
                checked={one.way === chosen}
                onChange={() => onChoose(one.way)}
              />
              {WAY_WORDS[one.way]}
            </label>
          </th>
          <td
            className={`pr-3 text-right whitespace-nowrap ${one.leastShare < least - 1e-9 ? 'font-semibold text-ochre' : ''}`}
          >
            {one.leastShare < least - 1e-9 && '! '}
            {percentText(one.leastShare)}
          </td>
          <td className="hidden pr-3 text-right sm:table-cell">{percentText(one.mostShift)}</td>
          <td className="pr-3 text-right">{one.batches.length}</td>
          <td className="hidden pr-3 text-right sm:table-cell">
            {one.layings === 0 ? 'never' : `${one.layings} ×`}
          </td>
          <td className="hidden pr-3 text-right sm:table-cell">{one.rounds}</td>
          <td className="text-right whitespace-nowrap">{hoursText(one.minutes)}</td>
        </tr>
      ))}
    </PlainTable>
  )
}
