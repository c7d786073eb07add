'use client'

import { firstOfPieces, type Instrument } from '@/core/instrument/instrument'
import { measure } from '@/core/measure'
import type { Measured } from '@/core/measuring/quantity'
import type { KnownChange } from '@/core/photo/known-changes'
import { shortOnes, type PhotoReading } from '@/core/photo/lengths'
import { measureText } from '@/ui/format/measure'
import { useWorkshop } from '@/ui/units'
import type { Marked, MarkKey } from './marks'

interface ReadLengthsProps {
  readonly instrument: Instrument
  readonly measured: readonly Measured[]
  readonly reading: PhotoReading | null
  /** Why nothing can be read, or was not taken. */
  readonly sentence: string | null
  readonly strings: readonly number[]
  readonly marked: Marked
  readonly asked: MarkKey | null
  readonly nameOf: (number: number) => string
  readonly onAsk: (number: number) => void
  readonly onAdd: (number: number) => void
  /** What the picture would change of lengths that are known. */
  readonly changes: readonly KnownChange[]
  readonly isTaken: (change: KnownChange) => boolean
  readonly onTick: (number: number, taken: boolean) => void
  readonly onKeep: () => void
}

/** What the picture tells, string by string, with how sure it is, and held against what the tape said. */
export function ReadLengths({
  instrument,
  measured,
  reading,
  sentence,
  strings,
  marked,
  asked,
  nameOf,
  onAsk,
  onAdd,
  changes,
  isTaken,
  onTick,
  onKeep,
}: ReadLengthsProps) {
  const { units } = useWorkshop()
  const text = (metres: number) => measureText(measure('length', metres), units)
  const byTape = new Set(measured.flatMap(({ key, error }) => (error === null ? [key] : [])))
  const short = shortOnes(reading?.lengths ?? []).filter(({ number }) => !byTape.has(`speaking ${number}`))
  const isNothingTaken =
    reading !== null && changes.filter((change) => !isTaken(change)).length === reading.lengths.length
  const others = firstOfPieces(instrument).filter(({ number }) => !strings.includes(number))
  return (
    <aside className="sheet p-4 lg:sticky lg:top-4" aria-label="What the picture tells">
      <button
        type="button"
        className="button button-main w-full"
        disabled={!reading || isNothingTaken}
        onClick={onKeep}
      >
        Keep these lengths
      </button>
      {sentence && (
        <p role="alert" className="mt-3 border-l-4 border-ochre bg-ochre-wash px-3 py-2 font-semibold">
          {sentence}
        </p>
      )}
      <table className="mt-3 w-full text-sm tabular-nums">
        <thead className="text-soft">
          <tr className="border-b border-ink text-right">
            <th scope="col" className="text-left font-normal">
              String
            </th>
            <th scope="col" className="font-normal">
              picture
            </th>
            <th scope="col" className="font-normal">
              ±
            </th>
            <th scope="col" className="font-normal">
              chart
            </th>
          </tr>
        </thead>
        <tbody>
          {strings.map((number) => {
            const read = reading?.lengths.find((one) => one.number === number)
            const charted = instrument.positions[number - 1]?.speakingLength ?? 0
            const held = byTape.has(`speaking ${number}`)
            return (
              <tr key={number} className="border-b border-rule text-right">
                <th scope="row" className="text-left font-normal">
                  <button
                    type="button"
                    className={`min-h-9 text-left underline underline-offset-2 ${asked?.startsWith(`${number} `) ? 'font-semibold' : ''}`}
                    onClick={() => onAsk(number)}
                  >
                    {nameOf(number)}
                  </button>
                </th>
                <td className="font-semibold">
                  {read ? text(read.length) : marked[`${number} upper`] ? '…' : '–'}
                </td>
                <td>{read ? text(read.error) : ''}</td>
                <td className={held ? 'font-semibold' : 'text-soft'}>
                  {text(charted)}
                  {held && read && (
                    <span className="block text-xs">by tape, {percent(read.length / charted - 1)}</span>
                  )}
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
      {changes.length > 0 && (
        <fieldset className="mt-3 border-l-4 border-ochre bg-ochre-wash px-3 py-2 text-sm">
          <legend className="float-left w-full font-semibold">
            {changes.length === 1 ? 'This length is' : 'These lengths are'} known already. Tick what the photo
            may change.
          </legend>
          {changes.map((change) => (
            <label key={change.number} className="flex min-h-11 items-center gap-3 tabular-nums">
              <input
                type="checkbox"
                className="size-5"
                checked={isTaken(change)}
                onChange={(event) => onTick(change.number, event.target.checked)}
              />
              <span>
                {nameOf(change.number)}: {text(change.old)} ± {text(change.oldError)} →{' '}
                <strong>{text(change.becomes)}</strong>
              </span>
            </label>
          ))}
        </fieldset>
      )}
      {short.length > 0 && (
        <p className="mt-3 border-l-4 border-verdigris bg-verdigris-wash px-3 py-2 text-sm">
          {short.length === 1 ? 'One string is' : `${short.length} strings are`} only a few pixels long here,
          up to {percent(Math.max(...short.map(({ length, error }) => error / length)), false)} off. Keep
          these lengths. Then take the short strings once more from nearer, with the sheet beside them, or
          with a bank card where they take up less than {text(0.25)}: the better picture counts.
        </p>
      )}
      {others.length > 0 && (
        <label className="mt-3 block text-sm">
          <span className="font-semibold">Mark another one</span>
          <select
            className="entry mt-1"
            value=""
            onChange={(event) => event.target.value !== '' && onAdd(Number(event.target.value))}
          >
            <option value="">choose a string</option>
            {others.map(({ number }) => (
              <option key={number} value={number}>
                {nameOf(number)}
              </option>
            ))}
          </select>
        </label>
      )}
      <p className="mt-3 text-sm text-soft">
        ± takes marks that are two pixels off for granted, and what is not known of the camera.
        {reading &&
          ` A lens as little straightened as telephones’ ever are would change the longest by ${percent(reading.lensEffect, false)}.`}{' '}
        A string that you measured by tape, marked here too, shows how far to trust the picture.
      </p>
    </aside>
  )
}

function percent(share: number, signed = true): string {
  const figure = (Math.abs(share) * 100).toFixed(1)
  return `${signed ? (share < 0 ? '−' : '+') : ''}${figure} %`
}
