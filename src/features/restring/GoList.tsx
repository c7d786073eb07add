import { useState } from 'react'
import type { Batch } from '@/core/restring/batch'
import { minutesOfGo } from '@/core/restring/sessions'
import { hoursText, percentText } from './words'

interface GoListProps {
  readonly batches: readonly Batch[]
  readonly nameOf: (id: number) => string
  readonly picked: number
  readonly onPick: (id: number) => void
  readonly onMove: (id: number, to: number) => void
  readonly onMoveGo: (go: number, by: 1 | -1) => void
  /** How many strings of some each pair of hands puts on. */
  readonly sharesOf: (ids: readonly number[]) => readonly number[]
  /** Nothing is on when it begins, so that nothing has to stay on. */
  readonly fromBare: boolean
}

/** The goes in their order, each with its strings as they are brought up. A string is dragged into another go, or sent there. */
export function GoList({
  batches,
  nameOf,
  picked,
  onPick,
  onMove,
  onMoveGo,
  sharesOf,
  fromBare,
}: GoListProps) {
  const [over, setOver] = useState<number | null>(null)
  const goOfPicked = batches.findIndex(({ ids }) => ids.includes(picked))
  return (
    <>
      {goOfPicked >= 0 && (
        <label className="mt-2 flex flex-wrap items-center gap-2 text-sm">
          <span>
            Put the <strong>{nameOf(picked)}</strong> into
          </span>
          <select
            className="entry w-auto"
            value={goOfPicked}
            onChange={(event) => onMove(picked, Number(event.target.value))}
          >
            {batches.map((batch, go) => (
              <option key={batch.ids[0]} value={go}>
                go {go + 1}
              </option>
            ))}
            <option value={batches.length}>a go of its own</option>
          </select>
        </label>
      )}
      <ol className="ruled mt-2" aria-label="The order of work">
        {batches.map((batch, go) => (
          <li
            key={batch.ids[0]}
            className={`py-2 ${over === go ? 'bg-verdigris-wash' : ''}`}
            onDragOver={(event) => {
              event.preventDefault()
              setOver(go)
            }}
            onDragLeave={() => setOver(null)}
            onDrop={(event) => {
              event.preventDefault()
              setOver(null)
              const id = Number(event.dataTransfer.getData('text/plain'))
              if (Number.isInteger(id) && id > 0) onMove(id, go)
            }}
          >
            <div className="flex flex-wrap items-center gap-x-3">
              <h3 className="text-base font-semibold">Go {go + 1}</h3>
              <span className="text-sm text-soft">
                {batch.ids.length === 1 ? '1 string' : `${batch.ids.length} strings`},{' '}
                {hoursText(minutesOfGo(batch, sharesOf(batch.ids)))}
                {fromBare ? '' : `; ${percentText(batch.carried.share)} of the load stays on`}
              </span>
              <span className="ml-auto flex gap-1">
                <button
                  type="button"
                  className="button min-h-8 px-2"
                  disabled={go === 0}
                  onClick={() => onMoveGo(go, -1)}
                >
                  Earlier
                </button>
                <button
                  type="button"
                  className="button min-h-8 px-2"
                  disabled={go === batches.length - 1}
                  onClick={() => onMoveGo(go, 1)}
                >
                  Later
                </button>
              </span>
            </div>
            <p className="mt-1 flex flex-wrap gap-1">
              {batch.ids.map((id) => (
                <button
                  key={id}
                  type="button"
                  draggable
                  aria-pressed={id === picked}
                  onClick={() => onPick(id)}
                  onDragStart={(event) => {
                    event.dataTransfer.setData('text/plain', String(id))
                    event.dataTransfer.effectAllowed = 'move'
                    onPick(id)
                  }}
                  className="min-h-8 cursor-grab border border-line px-2 text-sm hover:bg-verdigris-wash aria-pressed:border-verdigris aria-pressed:bg-verdigris-wash aria-pressed:font-semibold"
                >
                  {nameOf(id)}
                </button>
              ))}
            </p>
            {batch.aside.length > 0 && !fromBare && (
              <p className="mt-1 text-sm text-soft">
                Moved aside and put back: {batch.aside.map((id) => nameOf(id)).join(', ')}
              </p>
            )}
          </li>
        ))}
      </ol>
    </>
  )
}
