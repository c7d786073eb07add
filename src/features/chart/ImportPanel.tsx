'use client'

import { CHART_COLUMNS, type ChartColumn } from '@/core/chart/cells'
import type { ChartLine } from '@/core/chart/chart-line'
import type { Mapping } from '@/data/instruments/charts/mapping'
import { FILE_UNITS } from '@/core/units/file-unit'
import { TableImport } from '@/ui/import/TableImport'
import { startImport } from '@/workers/imports'

const WORDS: Record<ChartColumn, string> = {
  number: 'Number from the top',
  label: 'Maker’s label',
  note: 'Note',
  colour: 'Colour',
  material: 'Material',
  gauge: 'Gauge',
  core: 'Core',
  bedding: 'Bedding',
  wrap: 'Wrap',
  speaking: 'Speaking length',
  free: 'Free length',
  asked: 'Make and line',
}

interface ImportPanelProps {
  readonly chart: readonly ChartLine[]
  readonly onTake: (lines: readonly ChartLine[]) => void
  readonly onClose: () => void
}

/** A chart from a file of any make. */
export function ImportPanel({ chart, onTake, onClose }: ImportPanelProps) {
  return (
    <TableImport<ChartColumn, Mapping, ChartLine>
      title="A chart from a file"
      lead="CSV, .xlsx or .ods, with any column names and units. Nothing is saved until you save the chart or the instrument."
      columns={CHART_COLUMNS}
      words={WORDS}
      units={FILE_UNITS}
      start={() => startImport('chart', chart)}
      remainder={({ taken }, rows) => remainder(taken.length, rows, chart.length)}
      more={(mapping, change) => <MoreOfIt mapping={mapping} onChange={change} />}
      onTake={onTake}
      onClose={onClose}
    />
  )
}

function remainder(taken: number, rows: number, strings: number): string {
  const left = rows - taken
  return `${left === 0 ? 'Every row can be read.' : `${left.toLocaleString('en-GB')} can’t be used. See why above.`} ${taken < strings ? `${strings - taken} strings stay as they are.` : ''}`
}

function MoreOfIt({
  mapping,
  onChange,
}: {
  readonly mapping: Mapping
  readonly onChange: (mapping: Mapping) => void
}) {
  return (
    <>
      {mapping.columns.number === null && (
        <div className="text-sm">
          <label htmlFor="map-start">The first row is</label>
          <select
            id="map-start"
            className="entry min-h-10 py-1"
            value={mapping.startsAt}
            onChange={(event) =>
              onChange({ ...mapping, startsAt: event.target.value as Mapping['startsAt'] })
            }
          >
            <option>the shortest</option>
            <option>the longest</option>
          </select>
        </div>
      )}
      {mapping.columns.note !== null && (
        <div className="text-sm">
          <label htmlFor="map-letters">A note such as E4 is meant</label>
          <select
            id="map-letters"
            className="entry min-h-10 py-1"
            value={mapping.letters}
            onChange={(event) => onChange({ ...mapping, letters: event.target.value as Mapping['letters'] })}
          >
            <option>as tuned at rest</option>
            <option>as written</option>
          </select>
        </div>
      )}
    </>
  )
}
