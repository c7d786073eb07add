'use client'

import { useMemo, useState, type ReactNode } from 'react'
import { endpoints } from '@/boundary/endpoints'
import { measure } from '@/core/measure'
import { smallestKit, type MayBreak } from '@/core/wear/kit'
import type { Rates } from '@/core/wear/life'
import { statedHolds } from '@/core/wear/on-since'
import type { BeforeDate, MayCarry } from '@/data/views/before-date'
import { chanceText } from '@/ui/format/chance'
import { UnknownAges } from '@/ui/figure/UnknownAges'
import { Selection } from '@/ui/form/Selection'
import { measureText } from '@/ui/format/measure'
import { useAct } from '@/ui/shell/use-act'
import { useWorkshop } from '@/ui/units'

/** A string that may break on the way. */
export interface Carried extends MayCarry {
  /** It is changed before. */
  readonly isNew: boolean
}

interface KitListProps {
  readonly strings: readonly Carried[]
  readonly rates: BeforeDate['rates']
  readonly stores: BeforeDate['stores']
  /** Anchors in the stores. */
  readonly anchors: number
  readonly sureChance: number
  /** Whose strings they are. */
  readonly who: string
}

/** As `AWAY` has them, in words. */
const AWAY_WORDS = ['a day', 'three days', 'a week', 'a month'] as const
const SURE = [0.9, 0.95, 0.99, 0.999] as const
const TOOLS = [
  'The tuning key',
  'Cutters',
  'A tuner or a fork',
  'A cloth to lay over the neighbours',
] as const

/** What to carry: the fewest cuts that cover every break while away, printed to be ticked. */
export function KitList({ strings, rates, stores, anchors: anchorsThere, sureChance, who }: KitListProps) {
  const { units } = useWorkshop()
  const { act, refused } = useAct()
  const [away, setAway] = useState(0)
  const [sure, setSure] = useState(sureChance)
  const may = useMemo(
    () =>
      strings.map(({ lifeClass, kind, agesAway, isNew }): MayBreak => {
        const ages = agesAway[away]
        return { lifeClass, kind, ages: (isNew ? ages?.changed : ages?.left) ?? 0 }
      }),
    [strings, away],
  )
  const unknown = strings.filter(({ ageUnknown, isNew }) => ageUnknown && !isNew).length
  const kit = useMemo(() => smallestKit(rates as Rates, may, sure), [rates, may, sure])
  const lines = [...(kit?.pieces ?? [])].map(([kind, pieces]) => {
    const served = strings.filter((one) => one.kind === kind)
    const longest = served.reduce((a, b) => (b.cut > a.cut ? b : a))
    return { kind, pieces, served, longest, missing: Math.max(0, pieces - (stores[kind]?.cuts ?? 0)) }
  })
  const anchors = lines.reduce((sum, { pieces, longest }) => sum + (longest.needsAnchor ? pieces : 0), 0)
  const missing = lines.filter((one) => one.missing > 0)
  const list = () =>
    act(
      endpoints.addNeeds,
      {
        wanted: missing.map(({ longest, missing: quantity }) => ({
          positionId: longest.positionId,
          jobId: null,
          quantity,
        })),
      },
      'What the kit lacks is on the need list.',
    )
  return (
    <section className="mt-6 border-t border-ink pt-3" aria-labelledby="kit">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <div>
          <h2 id="kit" className="text-xl font-semibold">
            What to carry
          </h2>
          <p className="text-soft">{kitSentence(kit, who, unknown)}</p>
          <UnknownAges unknown={unknown} of={strings.length} />
        </div>
        <div className="flex flex-wrap gap-3 print:hidden">
          <Selection
            label="Away for"
            value={away}
            options={AWAY_WORDS.map((word, value) => ({ value, word }))}
            choose={setAway}
          />
          <Selection
            label="Covers every break in"
            value={sure}
            options={[...new Set([...SURE, sureChance])]
              .sort((a, b) => a - b)
              .map((value) => ({ value, word: `${Number((value * 100).toFixed(1))} of 100` }))}
            choose={setSure}
          />
        </div>
      </div>
      <ul className="ruled mt-2" aria-label="The kit">
        {lines.map(({ kind, pieces, served, longest, missing: lacks }) => (
          <Tick key={kind}>
            <span className="font-semibold">
              {pieces} × {longest.what} {measureText(measure('gauge', longest.gauge), units)},{' '}
              {measureText(measure('length', longest.cut), units)} long
            </span>{' '}
            <span className="text-soft">for {namesOf(served)}</span>
            <span className="block text-sm">
              {lacks > 0 ? (
                <strong className="text-ochre">
                  {lacks === pieces ? 'none in the stores' : `${lacks} too few in the stores`}
                </strong>
              ) : (
                <span className="text-soft">from {stores[kind]?.from}</span>
              )}
            </span>
          </Tick>
        ))}
        {anchors > 0 && (
          <Tick>
            <span className="font-semibold">
              {anchors} {anchors === 1 ? 'anchor' : 'anchors'}
            </span>
            <span className="block text-sm">
              {anchorsThere < anchors ? (
                <strong className="text-ochre">{anchors - anchorsThere} too few in the stores</strong>
              ) : (
                <span className="text-soft">{anchorsThere} in the stores</span>
              )}
            </span>
          </Tick>
        )}
        {TOOLS.map((tool) => (
          <Tick key={tool}>{tool}</Tick>
        ))}
      </ul>
      {missing.length > 0 && (
        <button type="button" className="button mt-3 print:hidden" onClick={list}>
          Put what is missing on the need list
        </button>
      )}
      {refused && (
        <p role="alert" className="mt-2 font-semibold text-ochre">
          {refused.sentence}
        </p>
      )}
    </section>
  )
}

function Tick({ children }: { readonly children: ReactNode }) {
  return (
    <li className="flex items-start gap-3 py-2">
      <span aria-hidden className="mt-0.5 size-5 shrink-0 border border-ink" />
      <span>{children}</span>
    </li>
  )
}

function namesOf(served: readonly MayCarry[]): string {
  const names = served.map(({ name }) => name)
  return names.length > 3 ? `${names.slice(0, 2).join(', ')} and ${names.length - 2} more` : names.join(', ')
}

function kitSentence(kit: ReturnType<typeof smallestKit>, instrument: string, unknown: number): string {
  if (!kit)
    return `Even a spare for every string of ${instrument} would not be sure enough: a spare may break too.`
  const covers = statedHolds(kit.covers, unknown)
  const left = 1 - covers
  return kit.pieces.size === 0
    ? `No spare string: nothing breaks in ${chanceText(covers)} of such times.`
    : `The fewest cuts that cover every break in ${chanceText(covers)} of such times; ${chanceText(left)} it leaves uncovered.`
}
