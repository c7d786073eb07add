'use client'

import { useRouter } from 'next/navigation'
import { useCallback, useMemo, useState } from 'react'
import { Download } from 'lucide-react'
import { setUpCalls } from '@/boundary/endpoints-set-up'
import { files, pages } from '@/boundary/paths'
import { chartLine } from '@/core/chart/chart-line'
import { findings } from '@/core/chart/findings'
import type { Instrument } from '@/core/instrument/instrument'
import { USUAL_TENSION } from '@/core/instrument/preset-families'
import { itemAt } from '@/core/list/item-at'
import { useLayAtHand } from '@/ui/find/at-hand'
import { BackLink } from '@/ui/shell/BackLink'
import { useAnnounce } from '@/ui/shell/UndoToast'
import { send } from '@/ui/shell/send'
import { useDebouncedValue } from '@/ui/kept/use-debounced-value'
import { changedWords } from '@/ui/sheet/changed-words'
import { KeepChanges } from '@/ui/sheet/KeepChanges'
import { useWorkshop } from '@/ui/units'
import { ChartCurves } from './ChartCurves'
import { ChartTable } from './ChartTable'
import { FindingsList } from './FindingsList'
import { ImportPanel } from './ImportPanel'
import type { Habits } from '@/core/fitting/habits'
import { PrintButton } from '@/ui/shell/PrintButton'
import { PrintedChart } from './PrintedChart'
import { RebuildPanel } from './RebuildPanel'
import { StringsPanel } from './StringsPanel'
import { useChartDraft } from './use-chart-draft'

/** Curves and findings follow when the keys have rested so long, ms. */
const RESTS = 250

/** The string chart: a table to type in, its curves, what is odd about it, and the ways in and out. */
export function ChartDesk({
  instrument,
  octaveNames,
  now,
}: {
  readonly instrument: Instrument
  readonly octaveNames: Habits['octaveNames']
  readonly now: number
}) {
  const { unit, gaugeUnit } = useWorkshop()
  const router = useRouter()
  const announce = useAnnounce()
  const draft = useChartDraft(instrument, unit, gaugeUnit)
  const [panel, setPanel] = useState<'none' | 'import' | 'rebuild' | 'strings'>('none')
  const [problem, setProblem] = useState<string | null>(null)
  const lines = useMemo(() => draft.rows.map((row) => row.line), [draft.rows])
  const followed = useDebouncedValue(lines, RESTS)
  const found = useMemo(() => findings(followed, instrument.referenceA), [followed, instrument.referenceA])
  const called = useMemo(
    () =>
      instrument.countedFrom === 'top'
        ? null
        : new Map(instrument.positions.map((p) => [p.number, p.called.number])),
    [instrument],
  )
  const marked = useMemo(() => new Set(found.map(({ numbers }) => itemAt(numbers, 0))), [found])
  const goTo = useCallback((number: number) => {
    const input = document.querySelector<HTMLInputElement>(`#line-${number} input[data-column="4"]`)
    input?.focus()
    input?.scrollIntoView({ block: 'center' })
  }, [])
  useLayAtHand(instrument, goTo)
  const keep = async () => {
    setProblem(null)
    const answer = await send(setUpCalls.changeChart(instrument.slug), {
      lines: draft.changed.flatMap(({ toKeep }) => toKeep ?? []),
    })
    if (!answer.ok) return setProblem(answer.sentence)
    draft.putBack()
    if (answer.value.actionId === null) announce('Nothing in it differs from the chart.')
    else
      announce(
        `The chart is kept, with ${answer.value.changed === 1 ? 'one string' : `${answer.value.changed} strings`} changed.`,
        answer.value.actionId,
      )
    router.refresh()
  }
  const forget = () =>
    draft.set(
      draft.rows.flatMap(({ number }) =>
        (['gauge', 'core', 'bedding', 'wrap'] as const).map((column) => ({ number, column, text: '' })),
      ),
    )
  const unread = draft.changed.find(({ problems }) => Object.keys(problems).length > 0)

  return (
    <>
      <PrintedChart instrument={instrument} octaveNames={octaveNames} now={now} />
      <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_22rem] print:hidden">
        <div className="grid grid-cols-[minmax(0,1fr)] gap-4">
          {panel === 'import' && (
            <ImportPanel
              chart={instrument.positions.map(chartLine)}
              onClose={() => setPanel('none')}
              onTake={(taken) => {
                draft.take(taken)
                setPanel('none')
              }}
            />
          )}
          {panel === 'strings' && (
            <StringsPanel
              instrument={instrument}
              isTyped={draft.changed.length > 0}
              onClose={() => setPanel('none')}
            />
          )}
          {panel === 'rebuild' && (
            <RebuildPanel
              lines={lines}
              referenceA={instrument.referenceA}
              usual={USUAL_TENSION[instrument.family]}
              onTake={draft.take}
              onForget={forget}
              onClose={() => setPanel('none')}
            />
          )}
          <section className="sheet p-4 md:p-5" aria-label="The chart">
            <header className="flex flex-wrap items-end justify-between gap-3">
              <div>
                <BackLink to={pages.instrument(instrument.slug)}>{instrument.name}</BackLink>
                <h1 className="text-2xl font-semibold">String chart of {instrument.name}</h1>
              </div>
              <div className="flex flex-wrap gap-2">
                <button type="button" className="button" onClick={() => setPanel('import')}>
                  Import CSV
                </button>
                <button type="button" className="button" onClick={() => setPanel('rebuild')}>
                  Rebuild
                </button>
                <button type="button" className="button" onClick={() => setPanel('strings')}>
                  Strings
                </button>
                <a className="button" href={files.chart(instrument.slug, 'csv')} download>
                  <Download size={16} aria-hidden /> CSV
                </a>
                <a className="button" href={files.chart(instrument.slug, 'json')} download>
                  <Download size={16} aria-hidden /> JSON
                </a>
                <PrintButton isMain={false} />
              </div>
            </header>
            <div className="mt-3">
              <ChartTable
                rows={draft.rows}
                referenceA={instrument.referenceA}
                unit={unit}
                gaugeUnit={gaugeUnit}
                marked={marked}
                called={called}
                onSet={draft.set}
              />
            </div>
          </section>
        </div>
        <aside
          className="sheet p-4 lg:sticky lg:top-4 lg:max-h-[calc(100dvh-2rem)] lg:overflow-y-auto"
          aria-label="What the chart comes to"
        >
          <KeepChanges
            changed={changedWords(draft.changed.length, 'one change', 'changed lines')}
            unread={unread ? `String ${unread.number} can’t be read yet.` : null}
            refused={problem}
            onKeep={keep}
            onPutBack={draft.putBack}
          />
          <div className="mt-3">
            <ChartCurves lines={followed} referenceA={instrument.referenceA} onPick={goTo} />
          </div>
          <h2 className="mt-3 border-t border-ink pt-2 text-lg font-semibold">Findings</h2>
          <FindingsList findings={found} onPick={goTo} />
          <p className="mt-3 text-xs text-soft">
            The maker’s string chart comes first. A change of tension class is a matter for the maker.
          </p>
        </aside>
      </div>
    </>
  )
}
