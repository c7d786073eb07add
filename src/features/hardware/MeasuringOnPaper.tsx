'use client'

import type { ReactNode } from 'react'
import { pages } from '@/boundary/paths'
import { counted } from '@/core/list/counted'
import { hardwareCells, hardwareOf } from '@/core/hardware/cells'
import { HARDWARE, HARDWARE_COLUMNS, HARDWARE_NAMES, type HardwareColumn } from '@/core/hardware/columns'
import { hardwareRuns, type Run } from '@/core/hardware/sections'
import { firstOfPieces, type Instrument } from '@/core/instrument/instrument'
import { HardwareDrawing } from '@/drawings/HardwareDrawing'
import { MeasureDrawing } from '@/drawings/MeasureDrawing'
import { QrDrawing } from '@/drawings/QrDrawing'
import { BackLink } from '@/ui/shell/BackLink'
import { PrintButton } from '@/ui/shell/PrintButton'
import { useWorkshop } from '@/ui/units'
import { useLeadingNames } from '@/ui/use-leading-names'
import { HOW } from './hardware-words'
import { runName } from './run-name'

interface MeasuringOnPaperProps {
  readonly instrument: Instrument
  /** Whether it came from a preset, so that what stands in grey is assumed. */
  readonly isAssumed: boolean
  /** Of the form that it is typed into. */
  readonly address: string
}

const LENGTHS = HARDWARE_COLUMNS.filter((column) => HARDWARE[column].is === 'length')
/** Shown from where to where. */
const DRAWN: readonly HardwareColumn[] = ['height', 'toBridge', 'eyelet']

/** A sheet to take to the instrument: what to measure from where, with room to write, and a code that opens the form. */
export function MeasuringOnPaper({ instrument, isAssumed, address }: MeasuringOnPaperProps) {
  const { unit, gaugeUnit } = useWorkshop()
  const leadingNames = useLeadingNames()
  const runs = hardwareRuns(instrument.positions)
  const toHole = instrument.positions[0]?.head.pin.heightDatum === 'string hole'
  const columns = LENGTHS.filter((column) => runs.some((run) => cellOf(instrument, run, column, unit) !== ''))
  return (
    <article
      className="sheet mx-auto max-w-[210mm] p-5 text-sm print:border-0 print:p-0 print:shadow-none"
      aria-label="Measuring sheet"
    >
      <header className="flex items-start justify-between gap-4 border-b border-ink pb-2">
        <div>
          <BackLink to={pages.instrument(instrument.slug)}>{instrument.name}</BackLink>
          <h1 className="text-2xl font-semibold">Measuring {instrument.name}</h1>
          <p className="text-soft">
            A {instrument.family} of {counted(instrument.positions.length, 'string')}. Write in{' '}
            {unit === 'mm' ? 'millimetres' : 'inches'}
            {gaugeUnit === 'thou' && ', gauges in thousandths of an inch'}, with every lever and pedal out of
            the way and the strings at pitch.{' '}
            {isAssumed ? 'What stands small is assumed.' : 'What stands small is what the chart has.'}
          </p>
          <p className="mt-2 print:hidden">
            <PrintButton />
          </p>
        </div>
        <div className="shrink-0 text-center text-xs text-soft">
          <QrDrawing address={address} className="size-24" />
          opens the form
        </div>
      </header>
      <section className="mt-3">
        <h2 className="text-lg font-semibold">From where to where</h2>
        <div className="mt-1 grid grid-cols-2 gap-x-4 gap-y-2 sm:grid-cols-4 print:grid-cols-4">
          <Drawn name="Speaking length" how="From the board or bridge to the bridge pin or nut.">
            <MeasureDrawing of="speaking 1" text="this" />
          </Drawn>
          {DRAWN.map((column) => (
            <Drawn key={column} name={HARDWARE_NAMES[column]} how={HOW[column]}>
              <HardwareDrawing of={column} text="this" toHole={toHole} />
            </Drawn>
          ))}
        </div>
      </section>
      <section className="mt-3 break-inside-avoid">
        <h2 className="text-lg font-semibold">Hardware, by section</h2>
        {/* On a phone it is scrolled sideways, by keys too. */}
        <div
          role="group"
          aria-label="Hardware, by section"
          className="overflow-x-auto print:overflow-visible"
          tabIndex={0}
        >
          <table className="mt-1 w-full border-collapse text-xs">
            <thead>
              <tr className="text-left align-bottom">
                <th scope="col" className="border border-rule p-1 font-normal">
                  Strings
                </th>
                {columns.map((column) => (
                  <th key={column} scope="col" className="border border-rule p-1 font-normal">
                    {HARDWARE_NAMES[column]}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {runs.map((run) => (
                <tr key={run.from}>
                  <th scope="row" className="border border-rule p-1 text-left whitespace-nowrap">
                    {runName(instrument, run)}
                  </th>
                  {columns.map((column) => (
                    <td
                      key={column}
                      className="h-9 border border-rule p-1 align-bottom text-[0.65rem] text-soft"
                    >
                      {cellOf(instrument, run, column, unit)}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </section>
      <section className="mt-3">
        <h2 className="text-lg font-semibold">Speaking length and gauge of each string</h2>
        <ol className="mt-1 gap-x-5 text-xs sm:columns-3 print:columns-3">
          {firstOfPieces(instrument).map((p) => (
            <li
              key={p.number}
              className="grid break-inside-avoid grid-cols-[1.6rem_minmax(0,1fr)_3.2rem_3rem] items-end gap-1 border-b border-rule py-0.5"
            >
              <b>{p.called.number}</b>
              <span className="truncate">{leadingNames(p).name}</span>
              <span className="h-5 border border-rule" />
              <span className="h-5 border border-rule" />
            </li>
          ))}
        </ol>
      </section>
    </article>
  )
}

function Drawn({
  name,
  how,
  children,
}: {
  readonly name: string
  readonly how: string
  readonly children: ReactNode
}) {
  return (
    <div className="break-inside-avoid">
      {children}
      <p className="text-xs">
        <b>{name}.</b> {how}
      </p>
    </div>
  )
}

/** What a run has in a column: one figure, or from the first string’s to the last’s. */
function cellOf(
  { positions }: Instrument,
  { from, to }: Run,
  column: HardwareColumn,
  unit: 'mm' | 'in',
): string {
  const texts = positions.slice(from - 1, to).map((p) => hardwareCells(hardwareOf(p), unit)[column])
  const short = (text: string | undefined) =>
    text === undefined || text === '' ? '' : String(Number(Number(text).toPrecision(4)))
  return new Set(texts).size === 1 ? short(texts[0]) : `${short(texts[0])}…${short(texts.at(-1))}`
}
