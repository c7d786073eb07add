import { aboutLine } from '@/core/instrument/about-line'
import { counted } from '@/core/list/counted'
import { leadingNames } from '@/core/instrument/names'
import type { Habits } from '@/core/fitting/habits'
import type { Instrument, StringPosition } from '@/core/instrument/instrument'
import { isInferred } from '@/core/chart/infer-wound'
import { materialWord, outerGauge } from '@/core/strings/construction'
import { stillWritten } from '@/core/strings/written-lengths'
import { scientificWord } from '@/core/pitch/note'
import { gaugeText, lengthFigure, type LengthUnit } from '@/core/units/length'
import { dateText } from '@/ui/format/time'
import { useWorkshop } from '@/ui/units'

/** Height of the table on an A4 sheet below its heading, mm, and the tallest that a row needs to be. */
const TABLE = 232
const TALLEST = 6.5
/** Of a row’s height, its letters. */
const LETTERS = 0.58
/** Above this many strings the chart is laid out in two columns. */
const ONE_COLUMN = 60

interface PrintedChartProps {
  readonly instrument: Instrument
  readonly octaveNames: Habits['octaveNames']
  readonly now: number
}

/** The chart as it lies in the case: whole, on one page. Only paper shows it. */
export function PrintedChart({ instrument, octaveNames, now }: PrintedChartProps) {
  const { timeZone, unit, gaugeUnit } = useWorkshop()
  const { positions } = instrument
  const columns = positions.length > ONE_COLUMN ? 2 : 1
  const each = Math.ceil(positions.length / columns)
  const height = Math.min(TALLEST, TABLE / (each + 1))
  const about = aboutLine(instrument)
  return (
    <article className="hidden print:block" aria-label="The chart, for paper">
      <h1 className="text-xl font-semibold">String chart: {instrument.name}</h1>
      <p className="text-sm">
        {[...(about ? [about] : []), counted(positions.length, 'string'), dateText(now, timeZone)].join(
          ' · ',
        )}
      </p>
      <p className="text-xs text-soft">
        Speaking lengths in {unit}. The maker’s chart comes first.
        {positions.some(({ construction }) => isInferred(construction)) &&
          ' Cores and wraps marked * are inferred from the outer gauge.'}
      </p>
      <div
        className="mt-2 grid gap-x-6"
        style={{
          gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))`,
          fontSize: `${(height * LETTERS).toFixed(2)}mm`,
        }}
      >
        {Array.from({ length: columns }, (_, column) => (
          <table key={column} className="w-full border-collapse leading-none">
            <thead>
              <tr className="border-b border-ink text-left" style={{ height: `${height.toFixed(2)}mm` }}>
                <th>No.</th>
                <th>String</th>
                <th>Note</th>
                <th>Colour</th>
                <th>Material</th>
                <th className="text-right">Gauge</th>
                <th className="text-right">Speaking</th>
              </tr>
            </thead>
            <tbody>
              {positions.slice(column * each, (column + 1) * each).map((position) => (
                <tr
                  key={position.number}
                  className="border-b border-rule whitespace-nowrap"
                  style={{ height: `${height.toFixed(2)}mm` }}
                >
                  <td className="font-semibold">{position.called.number}</td>
                  <td>{leadingNames(position, octaveNames).name}</td>
                  <td>{scientificWord(position.note)}</td>
                  <td>{position.colour === 'natural' ? '' : position.colour}</td>
                  <td>{materialWord(position.construction)}</td>
                  <td className="text-right">{gauges(position, gaugeUnit)}</td>
                  <td className="text-right">
                    {lengthFigure(position.speakingLength, { unit, digits: unit === 'mm' ? 0 : 2 })}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        ))}
      </div>
    </article>
  )
}

/** The outer gauge, as the maker wrote it where that is known, and of a wound string its core and wrap. */
function gauges({ construction, written }: StringPosition, unit: LengthUnit): string {
  const metres = outerGauge(construction)
  const outer = stillWritten(written?.gauge, metres) ?? gaugeText(metres, unit)
  if (construction.kind === 'plain') return outer
  const [core, wrap] = [construction.core.diameter, construction.wrap.diameter].map((metres) =>
    gaugeText(metres, unit).replace(/ \S+$/, ''),
  )
  return `${outer} (${core} + ${wrap}${isInferred(construction) ? ' *' : ''})`
}
