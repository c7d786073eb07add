'use client'

import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useMemo } from 'react'
import { endpoints } from '@/boundary/endpoints'
import { pages } from '@/boundary/paths'
import type { StandNow } from '@/core/restring/moments'
import type { Restring } from '@/data/jobs/restrings'
import type { RestringView } from '@/data/views/restring-view'
import { useStringPicker } from '@/drawings/field/use-string-picker'
import { dateText } from '@/ui/format/time'
import { BackLink } from '@/ui/shell/BackLink'
import { useAct } from '@/ui/shell/use-act'
import { useWorkshop } from '@/ui/units'
import { Packets } from './Packets'
import { RestringField } from './RestringField'
import { WAY_WORDS } from './words'

interface RestringGoingProps {
  readonly view: RestringView
  readonly restring: Restring
  /** Where the codes of labels lead: scheme and host. */
  readonly origin: string
}

/** A restring that is going on: the instrument as far as it is, and the one thing to do next. */
export function RestringGoing({ view: { instrument, pieces }, restring, origin }: RestringGoingProps) {
  const { timeZone } = useWorkshop()
  const router = useRouter()
  const { act, refused } = useAct()
  const nameOf = (id: number) => pieces.find((one) => one.id === id)?.name ?? `string ${id}`
  const stands = useMemo(
    () =>
      new Map(
        restring.pieces.flatMap(({ id, stand }): (readonly [number, StandNow])[] =>
          stand === 'old' ? [] : [[id, stand]],
        ),
      ),
    [restring],
  )
  const goes = [...new Set(restring.pieces.map(({ go }) => go))].map((go) => {
    const of = restring.pieces.filter((one) => one.go === go)
    return {
      go,
      of,
      left: of.filter(({ isDone }) => !isDone),
      open: of.find(({ jobId, isDone }) => jobId !== null && !isDone),
    }
  })
  const done = restring.pieces.filter(({ isDone }) => isDone).length
  const now = goes.find(({ open }) => open)
  const next = goes.find(({ left }) => left.length > 0)
  const picker = useStringPicker(instrument, next?.left[0]?.id ?? 1)
  const goOn = async () => {
    const opened = await act(
      endpoints.nextGo(instrument.slug),
      {},
      `Go ${(next?.go ?? 0) + 1} is begun: ${next?.left.length === 1 ? 'a string' : `${next?.left.length ?? 0} strings`}.`,
    )
    if (opened) router.push(pages.job(opened.jobId))
  }
  const end = () =>
    act(endpoints.endRestring(instrument.slug), {}, `The restring of ${instrument.name} is ended.`)
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[minmax(0,1fr)_28rem]">
      <section className="sheet p-4 md:p-5 print:hidden" aria-label="How far it is">
        <BackLink to={pages.instrument(instrument.slug)}>{instrument.name}</BackLink>
        <h1 className="text-2xl font-semibold">
          {instrument.name} is being {restring.fromBare ? 'strung' : 'restrung'}
        </h1>
        <p className="mt-1" aria-live="polite">
          <span className="plate-figure text-4xl">
            {done} of {restring.pieces.length}
          </span>{' '}
          <span className="text-lg">
            strings are new and at pitch. Begun {dateText(restring.begunAt, timeZone)}
            {restring.fromBare
              ? ', from bare'
              : restring.way
                ? `; ${WAY_WORDS[restring.way].toLowerCase()}`
                : '; in an order of its own'}
            .
          </span>
        </p>
        <RestringField instrument={instrument} picker={picker} stands={stands} />
      </section>
      <section className="sheet p-4 md:p-5" aria-label="What comes next">
        <div className="flex flex-wrap gap-3 print:hidden">
          {now?.open?.jobId ? (
            <Link className="button button-main" href={pages.job(now.open.jobId)}>
              Go on with go {now.go + 1}
            </Link>
          ) : next ? (
            <button type="button" className="button button-main" onClick={() => void goOn()}>
              Begin go {next.go + 1}
            </button>
          ) : (
            <button type="button" className="button button-main" onClick={() => void end()}>
              All are on: end the restring
            </button>
          )}
          {now && (
            <Link className="button" href={pages.cutting} prefetch={false}>
              Choose coils for all of it
            </Link>
          )}
          {next && (
            <button type="button" className="button" onClick={() => void end()}>
              Give it up here
            </button>
          )}
        </div>
        {refused && (
          <p role="alert" className="mt-2 font-semibold text-ochre">
            {refused.sentence}
          </p>
        )}
        <p className="mt-2 text-sm text-soft print:hidden">
          You may stop between goes, or when all new strings of a go stand at half their pitch. Never leave it
          with strings off.
        </p>
        <ol className="ruled mt-2 print:hidden" aria-label="The order of work">
          {goes.map(({ go, of, left }) => (
            <li key={go} className="py-2">
              <h2 className="text-base font-semibold">
                Go {go + 1}
                <span className="ml-2 text-sm font-normal text-soft">
                  {left.length === 0
                    ? 'done'
                    : left.length === of.length
                      ? `${of.length} to change`
                      : `${left.length} of ${of.length} left`}
                </span>
              </h2>
              <ul className="mt-1 flex flex-wrap gap-1">
                {of.map(({ id, jobId, isDone, hands }) => (
                  <li key={id}>
                    {jobId === null ? (
                      <span className="inline-flex min-h-8 items-center border border-line px-2 text-sm">
                        {nameOf(id)}
                        {hands && <span className="ml-1 text-soft">{hands}</span>}
                      </span>
                    ) : (
                      <Link
                        href={pages.job(jobId)}
                        prefetch={false}
                        className={`inline-flex min-h-8 items-center border px-2 text-sm ${isDone ? 'border-verdigris bg-verdigris-wash' : 'border-ochre'}`}
                      >
                        {nameOf(id)}
                        {hands && <span className="ml-1 text-soft">{hands}</span>}
                        <span className="sr-only">{isDone ? ', done' : ', in hand'}</span>
                      </Link>
                    )}
                  </li>
                ))}
              </ul>
            </li>
          ))}
        </ol>
        <Packets
          origin={origin}
          slug={instrument.slug}
          pieces={pieces}
          packets={restring.pieces
            .filter(({ isDone }) => !isDone)
            .map(({ id, go, hands, packet }) => ({ id, go, session: null, hands, from: packet }))}
        />
      </section>
    </div>
  )
}
