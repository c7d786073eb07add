'use client'

import Link from 'next/link'
import { useEffect, useRef, useState } from 'react'
import { endpoints } from '@/boundary/endpoints'
import { pages } from '@/boundary/paths'
import { measure } from '@/core/measure'
import type { CutPlan } from '@/core/stores/cut-plan'
import type { CuttingBench } from '@/core/stores/cutting-bench'
import type { StringToCut } from '@/data/stores/cutting'
import { CoilBar } from '@/drawings/CoilBar'
import { measureText } from '@/ui/format/measure'
import { send } from '@/ui/shell/send'
import { useAct } from '@/ui/shell/use-act'
import { useWorkshop } from '@/ui/units'
import { startCutPlan, type Planning } from '@/workers/plans'

/** Coils longer than this are drawn as wide as this, m. */
const FILLS = 2.5

const STAND_IN_WORDS = {
  'other end': 'with another end',
  'other colour': 'in another colour',
  'next gauge': 'a neighbouring gauge to stand in',
} as const

/** Which coil to cut for which open job, all of them together. */
export function CuttingSheet({ strings }: { readonly strings: readonly StringToCut[] }) {
  const { units } = useWorkshop()
  const { act, refused, refuse } = useAct()
  const [planned, setPlanned] = useState<{ readonly plan: CutPlan; readonly bench: CuttingBench } | null>(
    null,
  )
  const [isPlanning, setIsPlanning] = useState(false)
  const running = useRef<Planning<CutPlan> | null>(null)
  useEffect(() => () => running.current?.stop(), [])

  const start = async () => {
    refuse(null)
    setIsPlanning(true)
    try {
      const asked = await send(endpoints.cuttingBench, {})
      if (asked.ok) {
        const bench = asked.value
        running.current = startCutPlan(bench.jobs, bench.coils)
        setPlanned({ bench, plan: await running.current.answer })
      } else refuse(asked)
    } catch {
      refuse({ sentence: 'The plan could not be reckoned on this device.', field: null })
    }
    setIsPlanning(false)
  }
  const take = (cuts: CutPlan['cuts']) =>
    act(
      endpoints.takeCuttingPlan,
      { cuts: cuts.map(({ jobId, coilId }) => ({ jobId, coilId })) },
      'The coils are set aside; nothing is cut in the stores until a fitting is logged.',
    )
  const plan = planned?.plan ?? null
  const isTaken =
    plan !== null &&
    plan.cuts.every(({ jobId, coilId }) => strings.find(({ id }) => id === jobId)?.aside?.coilId === coilId)
  const stringOf = (id: number) => strings.find((string) => string.id === id)?.string ?? ''
  const used = (planned?.bench.coils ?? []).filter(({ id }) => plan?.cuts.some(({ coilId }) => coilId === id))
  const text = (metres: number) => measureText(measure('length', metres), units)

  return (
    <section className="sheet p-4 md:p-5" aria-label="Cutting plan">
      <h1 className="text-2xl font-semibold">Cutting plan</h1>
      <p className="max-w-prose text-soft">
        Which coil to cut for which broken string, all together: as near to the chart as can be, fresh coils
        opened last, short remainders used up.
      </p>
      <h2 className="mt-4 border-t border-ink pt-2 text-lg font-semibold">Strings to be cut</h2>
      {strings.length === 0 && <p>No string waits for its coil.</p>}
      <ul className="ruled">
        {strings.map(({ id, string, aside, fits }) => (
          <li key={id} className="flex flex-wrap justify-between gap-3 py-2">
            <Link className="font-semibold hover:underline" href={pages.job(id)}>
              {string}
            </Link>
            <span className="text-sm text-soft">
              {aside
                ? `${aside.label} is set aside`
                : fits === 0
                  ? 'nothing in the stores fits'
                  : `${fits} ${fits === 1 ? 'coil fits' : 'coils fit'}`}
            </span>
          </li>
        ))}
      </ul>
      {strings.length > 0 && (
        <button
          type="button"
          className={`button mt-3 ${plan ? '' : 'button-main'}`}
          onClick={start}
          disabled={isPlanning}
        >
          {isPlanning ? 'Reckoning…' : plan ? 'Plan again' : 'Plan the cuts'}
        </button>
      )}
      {refused && (
        <p role="alert" className="mt-3 font-semibold text-ochre">
          {refused.sentence}
        </p>
      )}
      {plan && (
        <div aria-live="polite">
          <h2 className="mt-5 border-t border-ink pt-2 text-lg font-semibold">The plan</h2>
          <p className="text-sm text-soft">
            {plan.opens === 0
              ? 'No fresh coil is opened.'
              : plan.opens === 1
                ? 'One fresh coil is opened.'
                : `${plan.opens} fresh coils are opened.`}{' '}
            {plan.gap === 0 ? 'Proven best.' : `Within ${(plan.gap * 100).toFixed(1)} % of the best.`}
          </p>
          <ul className="ruled mt-2">
            {used.map((coil) => {
              const cuts = plan.cuts.filter(({ coilId }) => coilId === coil.id)
              return (
                <li key={coil.id} className="grid gap-x-4 gap-y-1 py-2 sm:grid-cols-[9rem_minmax(0,1fr)]">
                  <span>
                    <span className="block font-semibold">{coil.label}</span>
                    <span className="block text-sm text-soft">
                      {coil.place}; {coil.opened ? 'a remainder' : 'fresh'}
                    </span>
                  </span>
                  <span>
                    <CoilBar
                      bought={coil.bought}
                      left={coil.left}
                      cuts={coil.cuts}
                      planned={cuts.reduce((sum, { length }) => sum + length, 0)}
                      fills={FILLS}
                    />
                    <span className="text-sm">
                      {cuts
                        .map(
                          ({ jobId, length, grade }) =>
                            `${text(length)} for the ${stringOf(jobId)}${grade === 'exact' ? '' : `, ${STAND_IN_WORDS[grade]}`}`,
                        )
                        .join('; ')}
                    </span>
                  </span>
                </li>
              )
            })}
          </ul>
          {plan.unserved.length > 0 && (
            <p className="mt-2 border-l-4 border-ochre bg-ochre-wash px-3 py-2 text-sm">
              Nothing is left for: {plan.unserved.map(stringOf).join(', ')}. They belong on the{' '}
              <Link className="underline" href={pages.orders}>
                need list
              </Link>
              .
            </p>
          )}
          {plan.cuts.length > 0 && (
            <button
              type="button"
              className="button button-main mt-3"
              disabled={isTaken}
              onClick={() => take(plan.cuts)}
            >
              {isTaken ? 'The coils are set aside' : 'Set these coils aside'}
            </button>
          )}
        </div>
      )}
    </section>
  )
}
