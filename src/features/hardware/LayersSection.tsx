'use client'

import { useId, type FormEvent } from 'react'
import { X } from 'lucide-react'
import { setUpCalls } from '@/boundary/endpoints-set-up'
import { grouped } from '@/core/list/grouped'
import type { Covering, Instrument } from '@/core/instrument/instrument'
import { parseNumbers } from '@/core/instrument/read-numbers'
import { Entry } from '@/ui/form/Entry'
import { textIn } from '@/ui/form/text-in'
import { useAct } from '@/ui/shell/use-act'
import { LayersField } from './LayersField'

/** What lies over what: what lies over a string must come off, or be moved aside, before it can be reached. */
export function LayersSection({ instrument }: { readonly instrument: Instrument }) {
  const { act, refused, refuse } = useAct()
  const heading = useId()
  const { positions, coverings, slug, name } = instrument
  // People say the numbers that their players count by.
  const called = (number: number) => positions[number - 1]?.called.number ?? number
  const numbered = new Map(positions.map((p) => [p.called.number, p.number]))
  const lay = (layers: readonly Covering[], sentence: string) =>
    act(setUpCalls.changeLayers(slug), { layers: [...layers] }, sentence)

  const add = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault()
    const form = event.currentTarget
    const data = new FormData(form)
    const numbers = (field: string) =>
      parseNumbers(textIn(data, field), positions.length).map((n) => numbered.get(n) ?? n)
    try {
      const [over, under] = [numbers('over'), numbers('under')]
      const more = over.flatMap((o) => under.map((u) => ({ over: o, under: u })))
      const done = await lay([...coverings, ...more], `What lies over what on ${name} is kept.`)
      if (done) form.reset()
    } catch (error) {
      refuse({ sentence: (error as RangeError).message, field: 'over' })
    }
  }
  const groups = [...grouped(coverings, ({ over }) => over)]
  return (
    <section className="sheet p-4 md:p-5" aria-labelledby={heading}>
      <h2 id={heading} className="text-xl font-semibold">
        What lies over what
      </h2>
      <p className="max-w-prose text-soft">
        What lies over a string comes off, or is moved aside, before you can reach it. Drag a string onto the
        one that it lies over, or say the numbers.
      </p>
      <div className="mt-3 grid gap-5 md:grid-cols-2">
        <LayersField
          instrument={instrument}
          onLay={(over, under) =>
            lay([...coverings, { over, under }], `String ${called(over)} lies over ${called(under)}.`)
          }
        />
        <div>
          <form onSubmit={add} noValidate className="flex flex-wrap items-end gap-3">
            <div className="w-28">
              <Entry label="String" name="over" />
            </div>
            <div className="w-36">
              <Entry label="lies over" name="under" />
            </div>
            <button type="submit" className="button">
              Add
            </button>
          </form>
          {refused && (
            <p role="alert" className="mt-2 font-semibold text-ochre">
              {refused.sentence}
            </p>
          )}
          {groups.length === 0 ? (
            <p className="mt-3 text-soft">
              Nothing lies over anything: every string can be reached by itself.
            </p>
          ) : (
            <ul className="ruled mt-3 max-h-72 overflow-y-auto">
              {groups.map(([over, below]) => (
                <li key={over} className="flex items-center justify-between gap-3 py-1.5">
                  <span>
                    <b>{called(over)}</b> lies over {below.map(({ under }) => called(under)).join(', ')}
                  </span>
                  <button
                    type="button"
                    className="button min-h-9 px-2"
                    aria-label={`String ${called(over)} lies over nothing`}
                    onClick={() =>
                      lay(
                        coverings.filter((one) => one.over !== over),
                        `String ${called(over)} lies over nothing now.`,
                      )
                    }
                  >
                    <X size={16} aria-hidden />
                  </button>
                </li>
              ))}
            </ul>
          )}
        </div>
      </div>
    </section>
  )
}
