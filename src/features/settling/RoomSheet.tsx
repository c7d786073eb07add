'use client'

import { CategoryScale, Chart, LinearScale, LineElement, PointElement, Tooltip } from 'chart.js'
import { useCallback, useState } from 'react'
import { Line } from 'react-chartjs-2'
import { calls } from '@/boundary/calls'
import { pages } from '@/boundary/paths'
import { plainWord } from '@/core/settle/pace'
import type { AirResponse, RoomReading, Sure } from '@/core/settle/room'
import type { Material } from '@/core/strings/materials'
import { readTable, textOf, type TextTable } from '@/data/csv/read-table'
import {
  AIR_UNITS,
  DATE_ORDERS,
  guessLogger,
  LOGGER_COLUMNS,
  mapRoom,
  type LoggerColumn,
  type LoggerMapping,
  type LoggerRows,
} from '@/data/house/logger-csv'
import { momentText } from '@/ui/format/time'
import { TableImport } from '@/ui/import/TableImport'
import { BackLink } from '@/ui/shell/BackLink'
import { useAct } from '@/ui/shell/use-act'
import { useHouse } from '@/ui/units'
import { useTints } from '@/ui/use-tints'
import { standInHygrometer } from './stand-in-hygrometer'

Chart.register(CategoryScale, LinearScale, LineElement, PointElement, Tooltip)

interface RoomSheetProps {
  /** The last readings, the earliest first. */
  readonly readings: readonly RoomReading[]
  readonly now: number
  /** What the air does to the materials that are on the shelf. */
  readonly responses: readonly (AirResponse & { readonly material: Material })[]
}

/** The air of the room: read by hand, from a logger's file, or by a hygrometer that stands in; and what it does to strings. */
export function RoomSheet({ readings, now, responses }: RoomSheetProps) {
  const { timeZone } = useHouse()
  const { act, refused } = useAct()
  const [celsius, setCelsius] = useState('')
  const [humidity, setHumidity] = useState('')
  const [isImporting, setImporting] = useState(false)
  const last = readings.at(-1)
  const number = (text: string) =>
    text.trim() === '' ? null : Number(text.replace(',', '.').replace('−', '-'))
  const keep = async () => {
    const done = await act(
      calls.keepRoom,
      { readings: [{ at: now, celsius: number(celsius), humidity: number(humidity) }] },
      'The room is read.',
    )
    if (!done) return
    setCelsius('')
    setHumidity('')
  }
  const carryOut = useCallback(
    (table: TextTable, mapping: LoggerMapping) => mapRoom(table, mapping, timeZone),
    [timeZone],
  )
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[minmax(0,1fr)_22rem]">
      <div className="grid grid-cols-[minmax(0,1fr)] gap-4">
        <section className="sheet p-4 md:p-5" aria-labelledby="room">
          <BackLink to={pages.settling}>Settling</BackLink>
          <h1 id="room" className="text-2xl font-semibold">
            The room
          </h1>
          <p className="text-soft">
            Strings go with the air. What the air did is taken off a reading before it is told what the string
            did by itself.
          </p>
          <form
            className="mt-3 flex flex-wrap items-end gap-3"
            onSubmit={(event) => {
              event.preventDefault()
              void keep()
            }}
          >
            {(
              [
                ['Temperature, °C', celsius, setCelsius],
                ['Humidity, %', humidity, setHumidity],
              ] as const
            ).map(([label, value, set]) => (
              <label key={label} className="text-sm">
                {label}
                <input
                  className="entry mt-1 block w-28"
                  inputMode="decimal"
                  autoComplete="off"
                  value={value}
                  onChange={(event) => set(event.target.value)}
                />
              </label>
            ))}
            <button type="submit" className="button button-main">
              Keep it
            </button>
            <button
              type="button"
              className="button"
              onClick={() => {
                const read = standInHygrometer(now)
                setCelsius(String(read.celsius))
                setHumidity(String(read.humidity))
              }}
            >
              Read the stand-in hygrometer
            </button>
            <button type="button" className="button" onClick={() => setImporting(true)}>
              A logger’s file
            </button>
          </form>
          {refused && (
            <p role="alert" className="mt-2 font-semibold text-ochre">
              {refused.sentence}
            </p>
          )}
          <p className="mt-3">
            {last
              ? `Last read ${momentText(last.at, timeZone)}: ${airWords(last)}.`
              : 'Nothing was read yet: read it whenever you tune, or take in a logger’s file.'}
          </p>
          {readings.length > 1 && <AirCurves readings={readings} timeZone={timeZone} />}
        </section>
        {isImporting && (
          <TableImport<LoggerColumn, TextTable, LoggerMapping, LoggerRows>
            title="A logger’s file"
            lead="CSV with any column names. One reading for each half hour is kept; times without a zone are those of the house."
            columns={LOGGER_COLUMNS}
            words={{ time: 'Day and hour', temperature: 'Temperature', humidity: 'Humidity' }}
            units={AIR_UNITS}
            read={(bytes) => readTable(textOf(bytes))}
            guess={guessLogger}
            carryOut={carryOut}
            takeable={({ readings: read }) => read.length}
            remainder={({ problems }) =>
              problems.length === 0 ? 'Every row can be read.' : 'The rest is told above.'
            }
            more={(mapping, change) => (
              <label className="text-sm">
                Dates in three short numbers
                <select
                  className="entry mt-1 block min-h-10 py-1"
                  value={mapping.dates}
                  onChange={(event) =>
                    change({ ...mapping, dates: event.target.value as LoggerMapping['dates'] })
                  }
                >
                  {DATE_ORDERS.map((order) => (
                    <option key={order}>{order}</option>
                  ))}
                </select>
              </label>
            )}
            onTake={({ readings: read }) => {
              setImporting(false)
              void act(
                calls.keepRoom,
                { readings: read },
                'The logger’s readings are kept, one for each half hour.',
              )
            }}
            onClose={() => setImporting(false)}
          />
        )}
      </div>
      <section className="sheet p-4" aria-labelledby="air">
        <h2 id="air" className="text-xl font-semibold">
          What the air does
        </h2>
        <p className="text-sm text-soft">
          In cents. Starting values, until settled strings that are read in rounds have told: tune all of an
          instrument now and then, and read the room.
        </p>
        <table className="mt-2 w-full text-left text-sm">
          <thead>
            <tr className="text-soft">
              <th className="font-normal">Material</th>
              <th className="text-right font-normal">a degree warmer</th>
              <th className="text-right font-normal">10 % damper</th>
            </tr>
          </thead>
          <tbody className="ruled">
            {responses.map(({ material, perKelvin, perPercent }) => (
              <tr key={material}>
                <td className="py-1.5">{plainWord(material)}</td>
                <td className="py-1.5 text-right whitespace-nowrap">{sureText(perKelvin, 1)}</td>
                <td className="py-1.5 text-right whitespace-nowrap">{sureText(perPercent, 10)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </div>
  )
}

function AirCurves({
  readings,
  timeZone,
}: {
  readonly readings: readonly RoomReading[]
  readonly timeZone: string
}) {
  const tints = useTints()
  if (!tints) return <div className="h-56" />
  return (
    <div className="mt-3 h-56">
      <Line
        aria-label="Temperature and humidity of the room"
        data={{
          labels: readings.map(({ at }) => momentText(at, timeZone)),
          datasets: [
            {
              label: '°C',
              data: readings.map(({ celsius }) => celsius),
              borderColor: tints.ochre,
              yAxisID: 'y',
              pointRadius: 1.5,
              spanGaps: true,
            },
            {
              label: '%',
              data: readings.map(({ humidity }) => humidity),
              borderColor: tints.verdigris,
              yAxisID: 'percent',
              pointRadius: 1.5,
              spanGaps: true,
            },
          ],
        }}
        options={{
          animation: false,
          maintainAspectRatio: false,
          scales: {
            x: {
              ticks: { color: tints.soft, maxTicksLimit: 6, maxRotation: 0 },
              grid: { color: tints.rule },
            },
            y: {
              title: { display: true, text: '°C', color: tints.soft },
              ticks: { color: tints.soft },
              grid: { color: tints.rule },
            },
            percent: {
              position: 'right',
              title: { display: true, text: '%', color: tints.soft },
              ticks: { color: tints.soft },
              grid: { display: false },
            },
          },
        }}
      />
    </div>
  )
}

const airWords = ({ celsius, humidity }: RoomReading) =>
  [celsius === null ? '' : `${celsius.toFixed(1)} °C`, humidity === null ? '' : `${humidity.toFixed(0)} %`]
    .filter(Boolean)
    .join(', ')

const sureText = ({ mean, off }: Sure, times: number) =>
  `${mean * times > 0 ? '+' : ''}${(mean * times).toFixed(times === 1 ? 1 : 0)} ± ${(off * times).toFixed(times === 1 ? 1 : 0)}`.replace(
    '-',
    '−',
  )
