'use client'

import { useId, useMemo, useState } from 'react'
import { pages } from '@/boundary/paths'
import { withThe } from '@/core/instrument/with-the'
import { ROUND_ORDERS, roundsNeeded, worstOff, type RoundOrder } from '@/core/rounds/tuning-round'
import type { SoundboardModel } from '@/core/rounds/soundboard-model'
import type { RoundBench } from '@/data/views/round-view'
import { RoundDrawing } from '@/drawings/RoundDrawing'
import { typedNumber } from '@/core/units/typed-number'
import { momentText } from '@/ui/format/time'
import { BackLink } from '@/ui/shell/BackLink'
import { useWorkshop } from '@/ui/units'
import { useLeadingNames } from '@/ui/use-leading-names'
import { TemperamentFiles } from './TemperamentFiles'
import { standsIn, type RoundSet } from './use-round'

interface RoundStartProps {
  readonly bench: RoundBench
  readonly board: SoundboardModel
  readonly refused: string | null
  readonly onBegin: (set: RoundSet, hearsFirst: boolean) => void
  readonly onPractise: (set: RoundSet, hearsFirst: boolean) => void
}

const ORDER_WORDS: Record<RoundOrder, string> = {
  'from the bottom': 'from the lowest string up',
  'from the top': 'from the highest string down',
  'least left over': 'the strings that pull most first',
  'by ear': 'by ear: an A by the fork, its octave by fifths and fourths, the others by octaves',
}

/** Before a round: in which temperament, in which order, and what that leaves. */
export function RoundStart({ bench, board, refused, onBegin, onPractise }: RoundStartProps) {
  const { instrument, temperaments, lastIn, effects, ended } = bench
  const { timeZone } = useWorkshop()
  const [name, setName] = useState(lastIn.temperament.name)
  const [order, setOrder] = useState<RoundOrder>(lastIn.order)
  const [within, setWithin] = useState(String(lastIn.within))
  const [hears, setHears] = useState(false)
  const id = useId()
  const temperament = temperaments.find((one) => one.name === name) ?? lastIn.temperament
  const before = useMemo(
    () => standsIn(bench.stands, instrument.positions, temperament),
    [bench.stands, instrument.positions, temperament],
  )
  const set = (): RoundSet => ({ temperament, order, within: typedNumber(within) ?? 0 })
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[minmax(0,1fr)_22rem]">
      <section className="sheet p-4 md:p-5" aria-labelledby="round">
        <BackLink to={pages.instrument(instrument.slug)}>{instrument.name}</BackLink>
        <h1 id="round" className="text-2xl font-semibold">
          Tune all of {instrument.name}
        </h1>
        <p className="text-soft">
          Pluck one string after the other. The program hears which one it is, says how far to turn and where
          to leave it, keeps what it found, and goes on by itself.
        </p>
        <form
          className="mt-4 grid gap-4"
          onSubmit={(event) => {
            event.preventDefault()
            onBegin(set(), hears)
          }}
        >
          <div className="grid gap-4 sm:grid-cols-[minmax(0,1fr)_8rem]">
            <label htmlFor={`${id}-t`}>
              Temperament
              <select
                id={`${id}-t`}
                className="entry mt-1 w-full"
                value={temperament.name}
                onChange={(event) => setName(event.target.value)}
              >
                {temperaments.map((one) => (
                  <option key={one.name}>{one.name}</option>
                ))}
              </select>
            </label>
            <label htmlFor={`${id}-w`}>
              In tune within
              <span className="mt-1 flex items-center gap-2">
                <input
                  id={`${id}-w`}
                  className="entry w-20"
                  inputMode="decimal"
                  autoComplete="off"
                  value={within}
                  onChange={(event) => setWithin(event.target.value)}
                />
                cents
              </span>
            </label>
          </div>
          <fieldset>
            <legend>Order</legend>
            {ROUND_ORDERS.toReversed().map((one) => (
              <label key={one} className="flex min-h-11 items-center gap-3">
                <input type="radio" name="order" checked={order === one} onChange={() => setOrder(one)} />
                <span className="first-letter:uppercase">{ORDER_WORDS[one]}</span>
              </label>
            ))}
          </fieldset>
          <label className="flex min-h-11 items-center gap-3">
            <input type="checkbox" checked={hears} onChange={(event) => setHears(event.target.checked)} />
            <span>
              Hear every string before the first is turned
              <span className="block text-sm text-soft">
                Worth it where much is out: every string is then left where the others bring it right, and one
                round is enough.
              </span>
            </span>
          </label>
          {refused && (
            <p role="alert" className="font-semibold text-ochre">
              {refused}
            </p>
          )}
          <div className="flex flex-wrap gap-3">
            <button type="submit" className="button button-main">
              Begin
            </button>
            <button type="button" className="button" onClick={() => onPractise(set(), hears)}>
              Practise on a stand-in
            </button>
          </div>
        </form>
        <h2 className="mt-5 border-t border-rule pt-3 font-semibold">Where they are taken to stand</h2>
        <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="All strings">
          <RoundDrawing
            positions={instrument.positions}
            found={instrument.positions.map(() => null)}
            standing={before}
            within={lastIn.within}
            now={null}
            describedAs={`Where the strings of ${instrument.name} are taken to stand before any is heard`}
          />
        </div>
      </section>
      <aside className="grid grid-cols-[minmax(0,1fr)] gap-4">
        <Foretold
          bench={bench}
          board={board}
          before={before}
          order={order}
          within={set().within || lastIn.within}
        />
        {ended && ended.turns.length > 0 && (
          <section className="sheet p-4" aria-label="The last round">
            <h2 className="font-semibold">The last round</h2>
            <p className="text-sm text-soft">{momentText(ended.at, timeZone)}</p>
            <div
              className="overflow-x-auto"
              tabIndex={0}
              role="group"
              aria-label="The last round, all strings"
            >
              <RoundDrawing
                positions={instrument.positions}
                found={instrument.positions.map(
                  (_, i) => ended.turns.find(({ string }) => string === i)?.found ?? null,
                )}
                standing={instrument.positions.map(
                  (_, i) => ended.turns.findLast(({ string }) => string === i)?.left ?? null,
                )}
                within={lastIn.within}
                now={null}
                describedAs="What every string was found at, and left at"
              />
            </div>
          </section>
        )}
        <section className="sheet p-4" aria-label="What the strings do to each other">
          <h2 className="font-semibold">What the strings do to each other</h2>
          <p className="text-sm">
            {effects.seen === 0
              ? 'As a board usually yields: nothing was learned of this one yet. Two rounds within two days teach it.'
              : `Learned from ${effects.seen} strings that were read again: this board yields ${Math.round(effects.shared * 100)} % of what is usual, ± ${Math.round(effects.sharedOff * 100)}.`}
          </p>
        </section>
        <TemperamentFiles temperaments={temperaments} chosen={temperament} />
      </aside>
    </div>
  )
}

interface ForetoldProps {
  readonly bench: RoundBench
  readonly board: SoundboardModel
  /** Where strings are taken to stand, cents. */
  readonly before: readonly number[]
  readonly order: RoundOrder
  readonly within: number
}

/** How many rounds it will take, by what is known before anyone begins. */
function Foretold({ bench: { strings, instrument }, board, before, order, within }: ForetoldProps) {
  const leadingNames = useLeadingNames()
  const told = useMemo(() => {
    const needed = (allows: boolean) => roundsNeeded(board, strings, before, order, allows, within)
    const off = worstOff(before)
    return {
      off,
      which: before.findIndex((cents) => Math.abs(cents) === off),
      plain: needed(false),
      allowed: needed(true),
    }
  }, [board, strings, before, order, within])
  const rounds = (count: number) => (count === 1 ? 'one round' : `${count} rounds`)
  const furthest = instrument.positions[told.which]
  const name = furthest && leadingNames(furthest).name
  return (
    <section className="sheet p-4" aria-label="Before you begin">
      <h2 className="font-semibold">Before you begin</h2>
      <p className="text-sm first-letter:uppercase">
        {told.off <= within || !name
          ? 'By what is known every string is in tune. What the weather did is not known before one is heard.'
          : told.plain > told.allowed
            ? `${withThe(name)} is taken to be ${told.off.toFixed(0)} cents off. Each simply tuned to its pitch: ${rounds(told.plain)}. Each left where the others bring it right: ${rounds(told.allowed)}.`
            : `${withThe(name)} is taken to be ${told.off.toFixed(0)} cents off, more than any other: ${rounds(told.plain)}.`}
      </p>
    </section>
  )
}
