'use client'

import { counted } from '@/core/list/counted'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useCallback, useMemo, useState } from 'react'
import { endpoints } from '@/boundary/endpoints'
import { pages } from '@/boundary/paths'
import type { Batch } from '@/core/restring/batch'
import { MOST_SHIFT } from '@/core/restring/frame'
import { namesFor, sharesOf } from '@/core/restring/hands'
import { standsAfter } from '@/core/restring/moments'
import { sessionsOf } from '@/core/restring/sessions'
import type { RestringView } from '@/data/views/restring-view'
import { LoadPicture } from '@/drawings/LoadPicture'
import { useStringPicker } from '@/drawings/field/use-string-picker'
import { BackLink } from '@/ui/shell/BackLink'
import { useAct } from '@/ui/shell/use-act'
import { ChooseStrings } from './ChooseStrings'
import { Evenings } from './Evenings'
import { FromBare } from './FromBare'
import { GoList } from './GoList'
import { Materials } from './Materials'
import { Packets, type Packet } from './Packets'
import { RestringField } from './RestringField'
import { useMaterials } from './use-materials'
import { usePlan } from './use-plan'
import { WaysTable } from './WaysTable'
import { DOING_WORDS, hoursText, percentText } from './words'

const NO_GOES: readonly Batch[] = []
/** Two hours. */
const SESSION = 120

interface RestringSheetProps {
  readonly view: RestringView
  /** Where the codes of labels lead: scheme and host. */
  readonly origin: string
}

/** A restring before it is begun: what, in which order, with what, and when. */
export function RestringSheet({ view, origin }: RestringSheetProps) {
  const { instrument, by, pieces, people } = view
  const router = useRouter()
  const { act, refused } = useAct()
  const [chosen, setChosen] = useState<ReadonlySet<number>>(
    () => new Set(pieces.filter(({ hasJob }) => !hasJob).map(({ id }) => id)),
  )
  const [fromBare, setFromBare] = useState(false)
  const all = useMemo(() => pieces.map(({ id }) => id), [pieces])
  const ids = useMemo(() => (fromBare ? all : [...chosen].sort((a, b) => a - b)), [chosen, all, fromBare])
  const names = useMemo(() => new Map(pieces.map(({ id, name }) => [id, name])), [pieces])
  const nameOf = useCallback((id: number) => names.get(id) ?? `string ${id}`, [names])
  const [minutes, setMinutes] = useState(SESSION)
  const [atIt, setAtIt] = useState<readonly string[]>([])
  const planned = usePlan(instrument, ids, by, nameOf, fromBare ? minutes : null)
  const { plan, answer, progress, batches: bench } = planned
  const materials = useMaterials(instrument.slug, ids)
  const picker = useStringPicker(instrument, ids[0] ?? 1)
  const [at, setAt] = useState(0)
  const [allTheSame, setAllTheSame] = useState(false)
  const moments = plan?.moments ?? []
  const now = Math.min(at, moments.length)
  const stands = useMemo(
    () => standsAfter(plan?.moments ?? [], now, fromBare ? all : []),
    [plan, now, fromBare, all],
  )
  const last = moments[now - 1]
  const batches = plan?.batches ?? NO_GOES
  const cuts = materials?.ok ? materials.value.plan.cuts : []
  const missing = materials?.ok ? materials.value.plan.unserved.length : 0
  const hands = Math.max(1, atIt.length)
  const sharesOfGo = useCallback(
    (of: readonly number[]) => (bench ? sharesOf(bench, of, hands) : [of.length]),
    [bench, hands],
  )
  const sessions = useMemo(
    () => (minutes > 0 ? sessionsOf(batches, minutes, sharesOfGo) : []),
    [batches, minutes, sharesOfGo],
  )
  const begin = async () => {
    const begun = await act(
      endpoints.beginRestring(instrument.slug),
      {
        goes: batches.map((batch) => [...batch.ids]),
        way: planned.way,
        sessionMinutes: minutes,
        withMissing: allTheSame,
        fromBare,
        people: atIt,
        cuts: cuts.map(({ jobId, coilId }) => ({ id: jobId, coilId })),
      },
      `The ${fromBare ? 'stringing' : 'restring'} of ${instrument.name} is begun.`,
    )
    if (begun) router.push(pages.job(begun.jobId))
  }
  // Each has a code that is drawn: not with every move of the slider.
  const packets = useMemo(() => {
    const coils = new Map(materials?.ok ? materials.value.bench.coils.map((coil) => [coil.id, coil]) : [])
    const coilFor = new Map(
      materials?.ok ? materials.value.plan.cuts.map(({ jobId, coilId }) => [jobId, coils.get(coilId)]) : [],
    )
    return batches.flatMap(({ ids: of }, go) => {
      const whose = bench && namesFor(bench, of, atIt)
      const session = sessions.findIndex(({ from, to }) => go >= from && go <= to)
      return of.map((id): Packet => ({
        id,
        go,
        session: session < 0 ? null : session + 1,
        hands: whose?.get(id) ?? '',
        from: coilFor.get(id) ?? null,
      }))
    })
  }, [batches, sessions, bench, atIt, materials])
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[minmax(0,1fr)_34rem]">
      <section className="sheet p-4 md:p-5 print:hidden" aria-label="The plan">
        <BackLink to={pages.instrument(instrument.slug)}>{instrument.name}</BackLink>
        <h1 className="text-2xl font-semibold">
          {fromBare ? `String ${instrument.name} from bare` : `Restring ${instrument.name}`}
        </h1>
        {view.restring && (
          <p className="mt-1">
            <Link className="button" href={pages.restringReport(instrument.slug)} prefetch={false}>
              Report of the last one
            </Link>
          </p>
        )}
        {plan ? (
          <p className="mt-1" aria-live="polite">
            <span className="plate-figure text-4xl">{hoursText(plan.minutes)}</span>{' '}
            <span className="text-lg">
              of work on {counted(ids.length, 'string')}, in {plan.batches.length} goes;{' '}
              {fromBare ? (
                'nothing is on it yet'
              ) : plan.leastShare < by.loadShare - 1e-9 ? (
                <strong className="text-ochre">
                  the load falls to {percentText(plan.leastShare)}: its layers come off together
                </strong>
              ) : (
                <span className="whitespace-nowrap">
                  never less than {percentText(plan.leastShare)} of its load
                </span>
              )}
              .
            </span>
          </p>
        ) : (
          <Planning
            progress={progress}
            stop={planned.stop}
            sentence={answer?.ok === false ? answer.sentence : null}
          />
        )}
        <fieldset className="mt-1 flex flex-wrap gap-x-5">
          <legend className="sr-only">How it stands</legend>
          {[false, true].map((bare) => (
            <label key={String(bare)} className="flex min-h-11 items-center gap-2">
              <input
                type="radio"
                name="stands"
                className="size-5 accent-verdigris"
                checked={fromBare === bare}
                onChange={() => {
                  setFromBare(bare)
                  setAt(0)
                }}
              />
              {bare ? 'Nothing is on it: a new kit, or all strings off' : 'Its strings are on'}
            </label>
          ))}
        </fieldset>
        {!fromBare && (
          <details className="mt-1">
            <summary className="min-h-8 font-semibold">
              {chosen.size === pieces.length
                ? 'All strings are changed'
                : `${chosen.size} of ${counted(pieces.length, 'string')} ${chosen.size === 1 ? 'is' : 'are'} changed`}
              : choose others
            </summary>
            <ChooseStrings view={view} chosen={chosen} onChoose={setChosen} />
          </details>
        )}
        <RestringField instrument={instrument} picker={picker} stands={stands} />
        {plan && (
          <>
            <label className="mt-2 block text-sm">
              <span aria-live="polite">
                {last ? (
                  <>
                    Go {last.go + 1}: the <strong>{nameOf(last.id)}</strong> {DOING_WORDS[last.doing]};{' '}
                    {percentText(last.carried.share)} of the load
                  </>
                ) : (
                  'Before it begins: draw the slider through the work'
                )}
              </span>
              <input
                type="range"
                className="mt-1 h-8 w-full accent-verdigris"
                min={0}
                max={moments.length}
                value={now}
                aria-label="Moment of the work"
                aria-valuetext={
                  last
                    ? `go ${last.go + 1}: ${nameOf(last.id)} ${DOING_WORDS[last.doing]}`
                    : 'before it begins'
                }
                onChange={(event) => setAt(Number(event.target.value))}
              />
            </label>
            <div
              className="overflow-x-auto"
              tabIndex={0}
              role="group"
              aria-label="The load, to be pushed aside"
            >
              <LoadPicture
                moments={moments}
                least={by.loadShare}
                most={MOST_SHIFT}
                at={now}
                fromBare={fromBare}
              />
            </div>
          </>
        )}
      </section>
      <section
        className="sheet p-4 md:p-5 lg:col-start-2 lg:row-span-2 lg:row-start-1 print:hidden"
        aria-label="The order"
      >
        {answer?.ok && plan ? (
          <>
            {fromBare ? (
              <>
                <h2 className="text-xl font-semibold">From the lowest string up</h2>
                <p>
                  The heaviest first, each before what lies over it; as many to a go as a session has time
                  for. Bring all of a go to half their pitch before any goes on. The maker’s word on how to
                  string it comes before all of this.
                </p>
              </>
            ) : (
              <>
                <h2 className="text-xl font-semibold">Ways to do it</h2>
                <WaysTable
                  ways={answer.ways}
                  chosen={planned.way}
                  least={by.loadShare}
                  onChoose={(way) => {
                    planned.takeWay(way)
                    setAt(0)
                  }}
                />
                <p className="mt-1 text-sm text-soft">
                  {answer.planned - answer.bound < 0.5
                    ? 'Setting out and retuning can’t take less than as worked out: that is proven.'
                    : `Setting out and retuning take ${answer.planned.toFixed(0)} min in the order that is worked out; no order takes less than ${answer.bound.toFixed(0)} min.`}{' '}
                  The maker’s word on how to restring it comes before all of this.
                </p>
              </>
            )}
            <div className="mt-4 flex flex-wrap items-center gap-3">
              {missing > 0 && !allTheSame && (
                <a className="button button-main" href="#materials">
                  {missing === 1 ? 'A string is' : `${missing} strings are`} missing: see which
                </a>
              )}
              <button
                type="button"
                className={missing > 0 && !allTheSame ? 'button' : 'button button-main'}
                disabled={!(minutes > 0) || !materials?.ok || (missing > 0 && !allTheSame)}
                onClick={() => void begin()}
              >
                Begin with go 1
              </button>
              {missing > 0 && (
                <label className="flex min-h-11 items-center gap-2 text-sm">
                  <input
                    type="checkbox"
                    className="size-5 accent-verdigris"
                    checked={allTheSame}
                    onChange={(event) => setAllTheSame(event.target.checked)}
                  />
                  Begin all the same
                </label>
              )}
            </div>
            {refused && (
              <p role="alert" className="mt-2 font-semibold text-ochre">
                {refused.sentence}
              </p>
            )}
            <h2 className="mt-5 border-t border-ink pt-3 text-xl font-semibold">
              {planned.way === null && !fromBare ? 'The order, by hand' : 'The order'}
            </h2>
            {planned.refused && (
              <p role="alert" className="mt-1 font-semibold text-ochre">
                {planned.refused}
              </p>
            )}
            <GoList
              batches={batches}
              nameOf={nameOf}
              picked={picker.selected}
              onPick={picker.pick}
              onMove={planned.move}
              onMoveGo={planned.moveGo}
              sharesOf={sharesOfGo}
              fromBare={fromBare}
            />
          </>
        ) : (
          <p className="text-soft">
            {ids.length === 0 ? 'Choose what to change.' : 'The order comes as soon as it is worked out.'}
          </p>
        )}
      </section>
      {answer?.ok && plan && (
        <section className="sheet p-4 md:p-5" aria-label="Getting ready">
          <Materials view={view} count={ids.length} materials={materials} />
          <Packets origin={origin} slug={instrument.slug} pieces={pieces} packets={packets} />
          <Evenings
            sessions={sessions}
            minutes={minutes}
            onMinutes={setMinutes}
            people={people}
            atIt={atIt}
            onAtIt={setAtIt}
          />
          {fromBare && answer.bringing && (
            <FromBare
              bringing={answer.bringing}
              blocks={view.blocks}
              nameOf={nameOf}
              instrument={instrument}
              tolerance={by.retuneAtCents}
            />
          )}
        </section>
      )}
    </div>
  )
}

interface PlanningProps {
  readonly progress: { readonly done: number; readonly of: number } | null
  readonly stop: () => void
  readonly sentence: string | null
}

function Planning({ progress, stop, sentence }: PlanningProps) {
  if (sentence)
    return (
      <p role="alert" className="mt-1 font-semibold text-ochre">
        {sentence}
      </p>
    )
  if (!progress) return <p className="mt-1 text-soft">Nothing is planned. Choose what to change.</p>
  return (
    <p className="mt-1 flex items-center gap-3 text-soft">
      Working out the order
      <progress
        className="accent-verdigris"
        max={progress.of}
        value={progress.done}
        aria-label="How far it is"
      />
      <button type="button" className="button" onClick={stop}>
        Stop
      </button>
    </p>
  )
}
