'use client'

import type { FormEvent } from 'react'
import { endpoints } from '@/boundary/endpoints'
import { SUPPLY_KINDS } from '@/core/stores/supplies'
import type { AnchorGut, Supply } from '@/data/stores/supplies'
import { textIn } from '@/ui/form/text-in'
import { Choice } from '@/ui/form/Choice'
import { Entry } from '@/ui/form/Entry'
import { dateText } from '@/ui/format/time'
import { useAct } from '@/ui/shell/use-act'
import { useWorkshop } from '@/ui/units'

interface SmallThingsProps {
  readonly supplies: readonly Supply[]
  readonly gut: readonly AnchorGut[]
}

/** Anchors, beads and glue: how many there are, too few told, and broken gut made into anchors. */
export function SmallThings({ supplies, gut }: SmallThingsProps) {
  const { timeZone } = useWorkshop()
  const { act, refused } = useAct()
  const add = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault()
    const form = new FormData(event.currentTarget)
    void act(
      endpoints.addSupply,
      {
        kind: textIn(form, 'kind'),
        name: textIn(form, 'name'),
        place: textIn(form, 'place'),
        count: Number(textIn(form, 'count') || NaN),
        least: Number(textIn(form, 'least') || 0),
      },
      `${textIn(form, 'name')} booked in.`,
    )
  }
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[minmax(0,1fr)_22rem]">
      <section className="sheet p-4 md:p-5" aria-labelledby="small">
        <h1 id="small" className="text-2xl font-semibold">
          Anchors, beads, glue
        </h1>
        <ul className="ruled mt-3">
          {supplies.map(({ id, kind, name, place, count, least }) => (
            <li key={id} className="flex flex-wrap items-center gap-x-4 gap-y-2 py-2">
              <span className="plate-figure w-14 text-right text-3xl leading-none">{count}</span>
              <span className="min-w-40 flex-1">
                <span className="block font-semibold">{name}</span>
                <span className="block text-sm text-soft">
                  {kind}
                  {place && `; ${place}`}
                </span>
              </span>
              {count < least && (
                <span className="text-sm font-semibold text-ochre">! too few: {least} are wanted</span>
              )}
              <span className="flex gap-2">
                <button
                  type="button"
                  className="button"
                  aria-label={`Take one of ${name}`}
                  onClick={() => act(endpoints.moveSupply(id), { by: -1 }, `One taken of ${name}.`)}
                >
                  − 1
                </button>
                <button
                  type="button"
                  className="button"
                  aria-label={`Book in one of ${name}`}
                  onClick={() => act(endpoints.moveSupply(id), { by: 1 }, `One more of ${name}.`)}
                >
                  + 1
                </button>
                <button
                  type="button"
                  className="button"
                  aria-label={`Book in ten of ${name}`}
                  onClick={() => act(endpoints.moveSupply(id), { by: 10 }, `Ten more of ${name}.`)}
                >
                  + 10
                </button>
              </span>
            </li>
          ))}
        </ul>
        {refused && (
          <p role="alert" className="mt-3 font-semibold text-ochre">
            {refused.sentence}
          </p>
        )}
        <h2 className="mt-5 border-t border-ink pt-2 text-lg font-semibold">Broken gut that makes anchors</h2>
        <p className="text-sm text-soft">
          Gut of 1.6 mm and more: half of a broken string is sound enough, cut in pieces of 20 mm.
        </p>
        {gut.length === 0 && <p className="mt-2">None that is not booked in already.</p>}
        <ul className="ruled mt-1">
          {gut.map((one) => (
            <li key={one.fittedId} className="flex flex-wrap items-center justify-between gap-3 py-2">
              <span>
                {one.string}, broken {dateText(one.at, timeZone)}
              </span>
              <button
                type="button"
                className="button"
                onClick={() =>
                  act(endpoints.bookAnchors, { fittedId: one.fittedId }, `${one.anchors} anchors booked in.`)
                }
              >
                Book in {one.anchors} anchors
              </button>
            </li>
          ))}
        </ul>
      </section>
      <section className="sheet p-4 md:p-5" aria-labelledby="another">
        <h2 id="another" className="text-xl font-semibold">
          Something else
        </h2>
        <form onSubmit={add} noValidate className="mt-3 grid grid-cols-2 gap-3">
          <div className="col-span-2">
            <Entry label="What it is" name="name" />
          </div>
          <div className="col-span-2">
            <Choice label="Kind" name="kind" options={SUPPLY_KINDS} />
          </div>
          <div className="col-span-2">
            <Entry label="Where it lies" name="place" />
          </div>
          <Entry label="How many" name="count" inputMode="numeric" />
          <Entry label="Too few below" name="least" inputMode="numeric" />
          <button type="submit" className="button button-main col-span-2">
            Book it in
          </button>
        </form>
      </section>
    </div>
  )
}
