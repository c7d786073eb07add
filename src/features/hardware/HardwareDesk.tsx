'use client'

import { Printer } from 'lucide-react'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { setUpCalls } from '@/boundary/endpoints-set-up'
import { pages } from '@/boundary/paths'
import type { Habits } from '@/core/fitting/habits'
import { HARDWARE, HARDWARE_COLUMNS, HARDWARE_PARTS, type HardwareColumn } from '@/core/hardware/columns'
import type { Instrument } from '@/core/instrument/instrument'
import { itemAt } from '@/core/list/item-at'
import { BackLink } from '@/ui/shell/BackLink'
import { useAnnounce } from '@/ui/shell/UndoToast'
import { send } from '@/ui/shell/send'
import { changedWords } from '@/ui/sheet/changed-words'
import { KeepChanges } from '@/ui/sheet/KeepChanges'
import { useWorkshop } from '@/ui/units'
import { AboutCell } from './AboutCell'
import { HardwareTable, listOf } from './HardwareTable'
import { LayersSection } from './LayersSection'
import { SectionForm } from './SectionForm'
import { runName } from './run-name'
import { commonCell, useHardwareDraft, type HardwareSection } from './use-hardware-draft'

interface HardwareDeskProps {
  readonly instrument: Instrument
  readonly habits: Habits
  /** Columns that are measured, by string; null where the chart came whole and nothing is assumed. */
  readonly measured: Readonly<Record<number, readonly HardwareColumn[]>> | null
}

interface Looked {
  readonly from: number
  readonly column: HardwareColumn
}

/** The fittings sheet of an instrument: how its strings are fastened and led, by section or string, and what of it is only assumed. */
export function HardwareDesk({ instrument, habits, measured }: HardwareDeskProps) {
  const { unit } = useWorkshop()
  const router = useRouter()
  const announce = useAnnounce()
  const draft = useHardwareDraft(instrument, unit)
  const [part, setPart] = useState<(typeof HARDWARE_PARTS)[number]>(HARDWARE_PARTS[0])
  const [byString, setByString] = useState(false)
  const [looked, setLooked] = useState<Looked | null>(null)
  const [open, setOpen] = useState(0)
  const [problem, setProblem] = useState<string | null>(null)
  const columns: readonly HardwareColumn[] = part.columns
  const shown: readonly HardwareSection[] = byString
    ? draft.rows.map((row) => ({ from: row.number, to: row.number, rows: [row] }))
    : draft.sections

  const isAssumed = (number: number, column: HardwareColumn) => {
    const row = draft.rows[number - 1]
    return (
      measured !== null &&
      !(measured[number] ?? []).includes(column) &&
      !row?.confirmed.includes(column) &&
      !row?.edited.includes(column)
    )
  }
  const assumedIn = (section: HardwareSection, column: HardwareColumn) =>
    section.rows.filter(({ number }) => isAssumed(number, column)).length
  const called = (number: number) => instrument.positions[number - 1]?.called.number ?? number
  const nameOf = (section: HardwareSection) => runName(instrument, section)
  const unread = draft.changed.find(({ toKeep }) => toKeep === null)

  const keep = async () => {
    setProblem(null)
    const lines = draft.changed.flatMap(({ toKeep, confirmed, number }) =>
      toKeep ? [{ number, ...toKeep, confirmed: [...confirmed] }] : [],
    )
    const answer = await send(setUpCalls.changeHardware(instrument.slug), { lines })
    if (!answer.ok) return setProblem(answer.sentence)
    draft.putBack()
    announce(
      answer.value.actionId === null ? 'Nothing in it differs.' : 'The hardware is kept.',
      answer.value.actionId ?? undefined,
    )
    router.refresh()
  }

  const section = shown.find(({ from }) => from === looked?.from) ?? shown[0]
  const column = looked && columns.includes(looked.column) ? looked.column : itemAt(columns, 0)
  const openSection = draft.sections[Math.min(open, draft.sections.length - 1)]
  const aboutCell = (of: HardwareSection) => (
    <AboutCell
      instrument={instrument}
      habits={habits}
      number={of.from}
      column={column}
      text={commonCell(of.rows, column) ?? ''}
      toHole={of.rows[0]?.cells.datum === 'string hole'}
      assumed={measured === null ? null : { count: assumedIn(of, column), of: of.rows.length }}
      onConfirm={() =>
        draft.confirm(
          of.rows.map(({ number }) => number),
          [column],
        )
      }
    />
  )
  const left = draft.rows.reduce(
    (sum, { number }) => sum + HARDWARE_COLUMNS.filter((one) => isAssumed(number, one)).length,
    0,
  )
  const all = draft.rows.length * HARDWARE_COLUMNS.length

  return (
    <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_22rem]">
      <div className="grid grid-cols-[minmax(0,1fr)] gap-4">
        <section className="sheet p-4 md:p-5" aria-label="The hardware">
          <header className="flex flex-wrap items-end justify-between gap-3">
            <div>
              <BackLink to={pages.instrument(instrument.slug)}>{instrument.name}</BackLink>
              <h1 className="text-2xl font-semibold">Hardware of {instrument.name}</h1>
              <p className="text-soft">
                {left === 0
                  ? 'How its strings are fastened and led.'
                  : `${Math.round((1 - left / all) * 100)} % is measured; the rest is what its family usually has.`}
              </p>
            </div>
            <div className="flex flex-wrap gap-2">
              <Link className="button" href={pages.instrumentSheet(instrument.slug, 'measuring-sheet')}>
                <Printer size={16} aria-hidden /> Measuring sheet
              </Link>
            </div>
          </header>
          <div className="mt-4 flex flex-wrap items-center justify-between gap-2">
            <div className="flex flex-wrap gap-1" role="group" aria-label="Part of the hardware">
              {HARDWARE_PARTS.map((one) => (
                <button
                  key={one.name}
                  type="button"
                  aria-pressed={part === one}
                  className={`button ${part === one ? 'button-main' : ''}`}
                  onClick={() => setPart(one)}
                >
                  {one.name}
                </button>
              ))}
            </div>
            <label className="hidden min-h-10 items-center gap-2 md:flex">
              <input
                type="checkbox"
                className="size-4 accent-verdigris"
                checked={byString}
                onChange={(event) => setByString(event.target.checked)}
              />
              every string by itself
            </label>
          </div>
          <div className="mt-3 hidden md:block">
            <HardwareTable
              key={part.name}
              columns={columns}
              sections={shown}
              unit={unit}
              nameOf={nameOf}
              assumedIn={assumedIn}
              onSet={draft.set}
              onLook={({ from }, of) => setLooked({ from, column: of })}
            />
          </div>
          <div className="mt-3 md:hidden">
            {draft.sections.length > 1 && (
              <label className="mb-3 block">
                <span className="font-semibold">Strings</span>
                <select
                  className="entry mt-1"
                  value={open}
                  onChange={(event) => setOpen(Number(event.target.value))}
                >
                  {draft.sections.map((one, i) => (
                    <option key={one.from} value={i}>
                      {nameOf(one)}
                    </option>
                  ))}
                </select>
              </label>
            )}
            {openSection && (
              <SectionForm
                section={openSection}
                columns={columns}
                onSet={draft.set}
                onLook={(of) => setLooked({ from: openSection.from, column: of })}
                looked={looked?.from === openSection.from ? column : null}
                about={aboutCell(openSection)}
                isAssumed={(of) => assumedIn(openSection, of) > 0}
              />
            )}
          </div>
          {HARDWARE_COLUMNS.map((of) => {
            const kind = HARDWARE[of]
            return kind.is === 'word' ? (
              <datalist key={of} id={listOf(of)}>
                {kind.words.map((word) => (
                  <option key={word} value={word} />
                ))}
              </datalist>
            ) : null
          })}
        </section>
        <LayersSection instrument={instrument} />
      </div>
      <aside
        className="sheet p-4 lg:sticky lg:top-4 lg:max-h-[calc(100dvh-2rem)] lg:overflow-y-auto"
        aria-label="What is in the hand"
      >
        <KeepChanges
          changed={changedWords(draft.changed.length, 'one string', 'strings')}
          unread={unread ? `String ${called(unread.number)} can’t be read yet.` : null}
          refused={problem}
          onKeep={keep}
          onPutBack={draft.putBack}
        />
        <div className="mt-4 hidden md:block">{section && aboutCell(section)}</div>
        <p className="mt-3 text-xs text-soft">
          What holds a string holds its whole pull: a change of hardware is a matter for the maker.
        </p>
      </aside>
    </div>
  )
}
