'use client'

import Link from 'next/link'
import type { FormEvent } from 'react'
import { classWords } from '@/core/stores/string-spec'
import { endpoints } from '@/boundary/endpoints'
import { pages } from '@/boundary/paths'
import { measure } from '@/core/measure'
import { materialWord, outerGauge } from '@/core/strings/construction'
import { lengthFigure } from '@/core/units/length'
import type { CoilView } from '@/data/views/stores-view'
import { CoilBar } from '@/drawings/CoilBar'
import { textIn } from '@/ui/form/text-in'
import { Figure } from '@/ui/figure/Figure'
import { Entry } from '@/ui/form/Entry'
import { dateText } from '@/ui/format/time'
import { measureText } from '@/ui/format/measure'
import { BackLink } from '@/ui/shell/BackLink'
import { useAct } from '@/ui/shell/use-act'
import { useWorkshop } from '@/ui/units'

/** One coil: what it is, what was cut from it, what it is for; to be set right, or thrown away. */
export function CoilSheet({
  view: { coil, jobs, serves, otherMake, lainTooLong },
}: {
  readonly view: CoilView
}) {
  const { unit, units, timeZone } = useWorkshop()
  const { act, refused } = useAct()
  const text = (metres: number) => measureText(measure('length', metres), unit)
  const gaugeText = (metres: number) => measureText(measure('gauge', metres), units)
  const constructionWords = () => {
    const { construction: c } = coil
    return c.kind === 'plain'
      ? materialWord(c)
      : `${materialWord(c)}; core ${gaugeText(c.core.diameter)}, ${c.bedding ? `bedding ${gaugeText(c.bedding.thickness)}, ` : ''}wrap ${gaugeText(c.wrap.diameter)}`
  }
  const planned = jobs.reduce((sum, job) => sum + job.length, 0)

  const correct = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault()
    const form = new FormData(event.currentTarget)
    void act(
      endpoints.correctCoil(coil.id),
      {
        label: textIn(form, 'label'),
        place: textIn(form, 'place'),
        lengthLeft: textIn(form, 'lengthLeft'),
        unit,
      },
      `${coil.label} is set right.`,
    )
  }

  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[minmax(0,1fr)_22rem]">
      <section className="sheet p-4 md:p-5" aria-label={coil.label}>
        <BackLink to={pages.stores}>Stores</BackLink>
        <h1 className="text-2xl font-semibold">{coil.label}</h1>
        <p className="text-soft">
          {coil.maker} {coil.line}, bought {dateText(coil.boughtAt, timeZone)};{' '}
          {coil.place || 'no place noted'}
          {coil.discardedAt === null ? '' : `; thrown away ${dateText(coil.discardedAt, timeZone)}`}
        </p>
        {otherMake && (
          <p className="mt-2 border-l-4 border-ochre bg-ochre-wash px-3 py-2 text-sm">{otherMake}</p>
        )}
        {lainTooLong && (
          <p className="mt-2 border-l-4 border-ochre bg-ochre-wash px-3 py-2 text-sm">{lainTooLong}</p>
        )}
        <div className="mt-4 grid grid-cols-2 gap-4 sm:grid-cols-4">
          <Figure
            label="Gauge"
            measure={measure('gauge', outerGauge(coil.construction))}
            note={constructionWords()}
          />
          <Figure
            label="Left"
            measure={measure('length', coil.lengthLeft)}
            note={`of ${text(coil.boughtLength)}`}
          />
          <div>
            <div className="label">Class and colour</div>
            <p className="mt-1">{[...classWords(coil.tensionClass), coil.colour].join(', ')}</p>
          </div>
          <div>
            <div className="label">End</div>
            <p className="mt-1">{coil.end}</p>
          </div>
        </div>
        <h2 className="mt-5 border-t border-ink pt-2 text-lg font-semibold">Its length, to scale</h2>
        <div className="mt-2">
          <CoilBar
            bought={coil.boughtLength}
            left={coil.lengthLeft}
            cuts={coil.cuts.map((cut) => cut.length)}
            planned={planned}
            fills={coil.boughtLength}
          />
        </div>
        <p className="mt-1 text-xs text-soft">
          Past cuts at the left, dashed; hatched what open jobs are to cut; plain what is free.
        </p>
        <ul className="ruled mt-3 text-sm">
          {coil.cuts.map((cut, i) => (
            <li key={i} className="flex justify-between gap-3 py-1.5">
              <span>{dateText(cut.at, timeZone)}</span>
              <span className="plate-figure text-base">{text(cut.length)}</span>
            </li>
          ))}
          {jobs.map((job) => (
            <li key={job.string} className="flex justify-between gap-3 py-1.5">
              <span>
                to be cut for the{' '}
                {job.jobId === null ? (
                  `${job.string}, when its restring comes to it`
                ) : (
                  <Link className="underline underline-offset-2" href={pages.job(job.jobId)}>
                    {job.string}
                  </Link>
                )}
              </span>
              <span className="plate-figure text-base">{text(job.length)}</span>
            </li>
          ))}
          {coil.cuts.length + jobs.length === 0 && (
            <li className="py-1.5 text-soft">Nothing was cut from it yet.</li>
          )}
        </ul>
        <h2 className="mt-5 border-t border-ink pt-2 text-lg font-semibold">It is exactly right for</h2>
        {serves.length === 0 ? (
          <p className="text-soft">No charted position.</p>
        ) : (
          <ul className="mt-1 flex flex-wrap gap-x-4 gap-y-1 text-sm">
            {serves.map(({ slug, instrument, number, called }) => (
              <li key={slug + number}>
                <Link
                  className="inline-block min-h-6 underline underline-offset-2"
                  href={pages.instrument(slug, number)}
                >
                  {instrument}, {called}
                </Link>
              </li>
            ))}
          </ul>
        )}
      </section>
      {coil.discardedAt === null && (
        <section className="sheet p-4 md:p-5" aria-labelledby="set-right">
          <h2 id="set-right" className="text-xl font-semibold">
            Set it right
          </h2>
          <form onSubmit={correct} noValidate className="mt-3 grid gap-3">
            <Entry
              label="Label"
              name="label"
              defaultValue={coil.label}
              problem={refused?.field === 'label' ? refused.sentence : undefined}
            />
            <Entry
              label="Where it lies"
              name="place"
              defaultValue={coil.place}
              problem={refused?.field === 'place' ? refused.sentence : undefined}
            />
            <Entry
              label="Length that is left"
              name="lengthLeft"
              hint={`In ${unit} unless you write the unit.`}
              inputMode="decimal"
              defaultValue={lengthFigure(coil.lengthLeft, { unit, digits: unit === 'mm' ? 0 : 2 })}
              problem={refused?.field === 'lengthLeft' ? refused.sentence : undefined}
            />
            <button type="submit" className="button button-main">
              Keep it
            </button>
          </form>
          <button
            type="button"
            className="button mt-3 w-full"
            onClick={() => act(endpoints.discardCoil(coil.id), {}, `${coil.label} is thrown away.`)}
          >
            Throw it away
          </button>
          {refused && !['label', 'place', 'lengthLeft'].includes(refused.field ?? '') && (
            <p role="alert" className="mt-3 font-semibold text-ochre">
              {refused.sentence}
            </p>
          )}
        </section>
      )}
    </div>
  )
}
