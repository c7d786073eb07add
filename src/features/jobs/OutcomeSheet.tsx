'use client'

import Link from 'next/link'
import { pages } from '@/boundary/paths'
import { measure } from '@/core/measure'
import { HOUR } from '@/core/units/time'
import type { JobOutcome } from '@/data/views/job-outcome'
import { CoilBar } from '@/drawings/CoilBar'
import { DriftCurve } from '@/drawings/DriftCurve'
import { Figure } from '@/ui/figure/Figure'
import { nearText } from '@/ui/format/time'
import { usePageTurner } from '@/ui/shell/use-page-turner'
import { useWorkshop } from '@/ui/units'
import { KeepRest } from './KeepRest'
import { LeftForLater } from './LeftForLater'

interface OutcomeSheetProps {
  readonly outcome: Omit<JobOutcome, 'job'>
  readonly now: number
  readonly tolerance: number
  readonly holdsWithin: number
  readonly concertHours: number
  /** Strings of the same job that are still to be fitted. */
  readonly others: readonly { readonly jobId: number; readonly number: number }[]
  readonly jobId: number
  readonly coil: {
    readonly id: number
    readonly label: string
    /** It was in the hand, and nobody said how long it was. */
    readonly restUnknown: boolean
    readonly left: number
    readonly bought: number
    readonly cuts: readonly number[]
  } | null
}

/** What was logged, what is left of the coil, and when to tune it again. */
export function OutcomeSheet({
  outcome,
  now,
  tolerance,
  holdsWithin,
  concertHours,
  others,
  jobId,
  coil,
}: OutcomeSheetProps) {
  const { timeZone, keepsStores } = useWorkshop()
  usePageTurner()
  const first = outcome.settling[0]
  return (
    <div className="grid gap-6 pt-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.4fr)]">
      <section aria-label="What was logged">
        <h2 className="text-xl font-semibold">Fitted and logged</h2>
        <div className="mt-2 grid grid-cols-2 gap-4">
          {outcome.cutMm !== null && (
            <Figure
              label="Cut"
              measure={measure('length', outcome.cutMm / 1000)}
              note={`worked out ${Math.round(outcome.predictedCutMm ?? 0)} mm`}
            />
          )}
          {outcome.wraps !== null && (
            <Figure
              label="Wraps"
              measure={measure('wraps', outcome.wraps)}
              note={`worked out ${(outcome.predictedWraps ?? 0).toFixed(1)}`}
            />
          )}
          {keepsStores && coil && (
            <Figure label={`Left of ${coil.label}`} measure={measure('length', coil.left)} />
          )}
        </div>
        {keepsStores && coil && (
          <div className="mt-3">
            <CoilBar bought={coil.bought} left={coil.left} cuts={coil.cuts} fills={coil.bought} />
          </div>
        )}
        {keepsStores && coil?.restUnknown && <KeepRest coilId={coil.id} />}
        <LeftForLater jobId={jobId} steps={outcome.left} />
        <p className="mt-4 flex flex-wrap gap-2">
          {others[0] && (
            <Link href={pages.jobSheet(others[0].jobId, 'steps')} data-go-on className="button button-main">
              Go on:{' '}
              {others.length === 1 ? `string ${others[0].number}` : `${others.length} strings of this job`}
            </Link>
          )}
          <Link href={pages.today} className={`button ${others[0] ? '' : 'button-main'}`}>
            Back to Today
          </Link>
          <Link href={pages.jobSheet(jobId, 'report')} className="button">
            Service report
          </Link>
        </p>
      </section>
      {first && (
        <section aria-label="Settling">
          <h2 className="text-xl font-semibold">Tune it again</h2>
          <p className="text-sm text-soft">
            Each time it has fallen by {tolerance} cents. Every interval is a fixed multiple of the last, but
            at hours when someone is there.
          </p>
          <ol className="ruled mt-2">
            {first.slipping && (
              <li className="py-1.5 text-lg font-semibold text-ochre">
                The string slipped. Check its knot and pin first.
              </li>
            )}
            {!first.slipping && first.nextAt === null && (
              <li className="py-1.5 text-lg font-semibold">The string is stable.</li>
            )}
            {first.planAt.map((at, i) => (
              <li
                key={at}
                className={`flex justify-between py-1.5 ${i === 0 ? 'text-lg font-semibold' : ''}`}
              >
                <span>{i === 0 ? 'Next' : `Then`}</span>
                <time>{nearText(at, now, timeZone)}</time>
              </li>
            ))}
            <li className="flex justify-between py-1.5 text-verdigris">
              <span>
                Holds within {holdsWithin} cents through a concert of {concertHours}{' '}
                {concertHours === 1 ? 'hour' : 'hours'}
              </span>
              <time>
                {first.slipping
                  ? 'not while it slips'
                  : first.readyAt === null
                    ? 'not in this room'
                    : `from ${nearText(first.readyAt, now, timeZone)}`}
              </time>
            </li>
          </ol>
          <DriftCurve
            law={first.law}
            tolerance={tolerance}
            readings={first.readings}
            age={(now - first.fitted.fittedAt) / HOUR}
            className="mt-3 w-full"
          />
          <p className="mt-2 flex flex-wrap items-center gap-x-3 text-sm text-soft">
            Put on at an interval?
            <Link href={pages.settlingString(first.fitted.id, first.positionId)} className="button">
              Between the halves
            </Link>
          </p>
        </section>
      )}
    </div>
  )
}
