'use client'

import { useState } from 'react'
import { endpoints } from '@/boundary/endpoints'
import { pages } from '@/boundary/paths'
import type { RoomReading } from '@/core/settle/room'
import { typedNumber } from '@/core/units/typed-number'
import {
  AIR_UNITS,
  DATE_ORDERS,
  LOGGER_COLUMNS,
  type LoggerColumn,
  type LoggerMapping,
} from '@/data/workshop/logger-csv'
import { Decimal } from '@/ui/form/Decimal'
import { momentText } from '@/ui/format/time'
import { TableImport } from '@/ui/import/TableImport'
import { startImport } from '@/workers/imports'
import { BackLink } from '@/ui/shell/BackLink'
import { useAct } from '@/ui/shell/use-act'
import { useWorkshop } from '@/ui/units'
import { AirCurves } from './AirCurves'
import { AirResponses, type MaterialResponse } from './AirResponses'
import { readSimulatedHygrometer } from './simulated-hygrometer'

interface RoomSheetProps {
  /** The last readings, the earliest first. */
  readonly readings: readonly RoomReading[]
  readonly now: number
  /** What the air does to the materials that are on the shelf. */
  readonly responses: readonly MaterialResponse[]
}

/** The air of the room: read by hand, from a logger's file, or by a hygrometer that stands in; and what it does to strings. */
export function RoomSheet({ readings, now, responses }: RoomSheetProps) {
  const { timeZone } = useWorkshop()
  const { act, refused } = useAct()
  const [celsius, setCelsius] = useState('')
  const [humidity, setHumidity] = useState('')
  const [isImporting, setImporting] = useState(false)
  const last = readings.at(-1)
  const keep = async () => {
    const done = await act(
      endpoints.keepRoom,
      { readings: [{ at: now, celsius: typedNumber(celsius), humidity: typedNumber(humidity) }] },
      'The room is read.',
    )
    if (!done) return
    setCelsius('')
    setHumidity('')
  }
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
            <Decimal label="Temperature, °C" value={celsius} onChange={setCelsius} />
            <Decimal label="Humidity, %" value={humidity} onChange={setHumidity} />
            <button type="submit" className="button button-main">
              Keep it
            </button>
            <button
              type="button"
              className="button"
              onClick={() => {
                const read = readSimulatedHygrometer(now)
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
          <TableImport<LoggerColumn, LoggerMapping, RoomReading>
            title="A logger’s file"
            lead="CSV with any column names. One reading for each half hour is kept; times without a zone are those of the house."
            columns={LOGGER_COLUMNS}
            words={{ time: 'Day and hour', temperature: 'Temperature', humidity: 'Humidity' }}
            units={AIR_UNITS}
            start={() => startImport('logger', timeZone)}
            remainder={({ counts }) =>
              counts.problems === 0 ? 'Every row can be read.' : 'The rest is told above.'
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
            onTake={(read) => {
              setImporting(false)
              void act(
                endpoints.keepRoom,
                { readings: [...read] },
                'The logger’s readings are kept, one for each half hour.',
              )
            }}
            onClose={() => setImporting(false)}
          />
        )}
      </div>
      <AirResponses responses={responses} />
    </div>
  )
}

const airWords = ({ celsius, humidity }: RoomReading) =>
  [celsius === null ? '' : `${celsius.toFixed(1)} °C`, humidity === null ? '' : `${humidity.toFixed(0)} %`]
    .filter(Boolean)
    .join(', ')
