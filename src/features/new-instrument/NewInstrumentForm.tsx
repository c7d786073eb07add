'use client'

import { counted } from '@/core/list/counted'
import { useRouter } from 'next/navigation'
import { useDeferredValue, useMemo, useState, type ChangeEvent, type FormEvent, type ReactNode } from 'react'
import type { Endpoint, RequestBody } from '@/boundary/endpoint'
import { setUpCalls, type Shelved } from '@/boundary/endpoints-set-up'
import { pages } from '@/boundary/paths'
import { cellsOf } from '@/core/chart/cells'
import { chartLine, type ChartLine } from '@/core/chart/chart-line'
import { findings, sections } from '@/core/chart/findings'
import { FAMILIES } from '@/core/instrument/family'
import { TENSION_CLASSES, STRUNG, type Instrument } from '@/core/instrument/instrument'
import { notesOfChart, withChart } from '@/core/instrument/with-chart'
import { PRESETS } from '@/core/instrument/preset-families'
import { fromPreset } from '@/core/instrument/presets'
import { readNotes } from '@/core/instrument/read-notes'
import { readLengths } from '@/core/instrument/read-lengths'
import { REST_TUNINGS } from '@/core/pitch/rest-tuning'
import { InstrumentSketch } from '@/drawings/field/InstrumentSketch'
import { Choice } from '@/ui/form/Choice'
import { Entry } from '@/ui/form/Entry'
import { Labelled } from '@/ui/form/Labelled'
import { useAnnounce } from '@/ui/shell/UndoToast'
import { send } from '@/ui/shell/send'
import { Selection } from '@/ui/form/Selection'
import { useWorkshop, type WorkshopView } from '@/ui/units'
import type { NewInstrumentRequest } from '@/boundary/requests/new-instrument'

/** What is typed: the year is text until it is sent. */
type Typed = Omit<NewInstrumentRequest, 'year' | 'chart'> & { readonly year: string }
type Field = keyof Typed

const ON_WORDS = [
  { value: 'unknown', word: 'Strings are on, nobody knows since when' },
  { value: 'about', word: 'Strings are on since about…' },
  { value: 'none', word: 'No strings are on yet' },
] as const

const BEGIN: Typed = {
  name: '',
  family: 'lever harp',
  ...PRESETS['lever harp'].begins,
  strung: 'as usual',
  lengths: '',
  maker: '',
  model: '',
  owner: '',
  on: 'unknown',
  year: '',
}

interface NewInstrumentFormProps {
  /** The panel that reads a chart from a file; the page that composes this form gives it. */
  readonly importChart: (onTake: (lines: readonly ChartLine[]) => void, onClose: () => void) => ReactNode
}

/** A new instrument from a preset: the field draws itself while it is described. */
export function NewInstrumentForm({ importChart }: NewInstrumentFormProps) {
  const workshop = useWorkshop()
  const { unit } = workshop
  const router = useRouter()
  const announce = useAnnounce()
  const [form, setForm] = useState(BEGIN)
  const [chart, setChart] = useState<readonly ChartLine[]>([])
  const [isImporting, setIsImporting] = useState(false)
  const [refused, setRefused] = useState<{ readonly field: string; readonly sentence: string } | null>(null)
  const described = useDeferredValue(form)
  const drawn = useMemo(() => draw(described, chart, workshop), [described, chart, workshop])

  const change =
    (field: Field) => (event: ChangeEvent<HTMLInputElement | HTMLSelectElement | HTMLTextAreaElement>) => {
      setRefused(null)
      const changed = { ...form, [field]: event.target.value }
      setForm(field === 'family' ? asItsFamily(form, changed) : changed)
    }
  const problemAt = (field: Field) =>
    refused?.field === field ? refused.sentence : drawn.field === field ? drawn.sentence : undefined
  const bind = (field: Field) => ({ value: form[field], onChange: change(field), problem: problemAt(field) })

  const add = async <Body extends object>(call: Endpoint<Body, Shelved>, body: RequestBody<Body>) => {
    const answer = await send(call, body)
    if (!answer.ok) return setRefused({ field: answer.field ?? 'name', sentence: answer.sentence })
    announce(`${answer.value.name} is on the shelf.`, answer.value.actionId)
    router.push(pages.instrument(answer.value.slug))
    router.refresh()
  }
  const submit = (event: FormEvent) => {
    event.preventDefault()
    const year = form.on === 'about' ? Number(form.year.trim() || NaN) : null
    void add(setUpCalls.newInstrument, { ...form, year, chart: chart.map((line) => cellsOf(line, 'mm')) })
  }
  const fromFile = async (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0]
    if (file) await add(setUpCalls.instrumentFromFile, { text: await file.text() })
  }

  return (
    <div className="grid items-start gap-4 lg:grid-cols-[26rem_minmax(0,1fr)]">
      <form onSubmit={submit} noValidate className="sheet p-4 md:p-5">
        <h1 className="text-2xl font-semibold">A new instrument</h1>
        <p className="text-soft">
          Its family, its notes and two or three lengths are enough to begin; the chart can be corrected
          afterwards.
        </p>
        <p className="mt-3">
          <button type="button" className="button" onClick={() => setIsImporting(true)}>
            {chart.length === 0
              ? 'I have the maker’s chart'
              : `Chart read: ${counted(chart.length, 'string')}`}
          </button>
        </p>
        <div className="mt-4 grid grid-cols-2 gap-3">
          <div className="col-span-2">
            <Entry label="Name" {...bind('name')} />
          </div>
          <div className="col-span-2">
            <Choice label="Family" options={FAMILIES} {...bind('family')} />
          </div>
          <div className="col-span-2">
            <Entry
              label="Notes"
              hint="A range such as C2 to C7, or one by one from the shortest: D4 D4 A3 D3."
              {...bind('notes')}
            />
          </div>
          <Choice label="Tuned at rest in" options={REST_TUNINGS} {...bind('restTuning')} />
          <Choice label="Tension class" options={TENSION_CLASSES} {...bind('tensionClass')} />
          <div className="col-span-2">
            <Choice label="Which way round it is strung" options={STRUNG} {...bind('strung')} />
          </div>
          <div className="col-span-2">
            <Labelled
              label="Speaking lengths you measured"
              hint={`A line each: the number from the top and the length, in ${unit} unless you write the unit.`}
              problem={problemAt('lengths')}
            >
              {(wiring) => (
                <textarea
                  className="entry mt-1 min-h-28"
                  value={form.lengths}
                  onChange={change('lengths')}
                  placeholder={'1: 76 mm\n18: 358 mm\n36: 1170 mm'}
                  {...wiring}
                />
              )}
            </Labelled>
          </div>
          <Selection
            label="Strings on it now"
            value={form.on}
            options={ON_WORDS}
            choose={(on) => {
              setRefused(null)
              setForm({ ...form, on })
            }}
          />
          {form.on === 'about' ? (
            <Entry label="Put on about" hint="A year, such as 2019." inputMode="numeric" {...bind('year')} />
          ) : (
            <p className="self-end text-sm text-soft">You can enter a year for each string later.</p>
          )}
          <Entry label="Maker, as you write it" {...bind('maker')} />
          <Entry label="Model" {...bind('model')} />
          <div className="col-span-2">
            <Entry label="Owner" {...bind('owner')} />
          </div>
        </div>
        <div className="mt-4 flex flex-wrap items-center gap-3">
          <button type="submit" className="button button-main" disabled={drawn.instrument === null}>
            Put it on the shelf
          </button>
          <label className="button">
            From a JSON file
            <input type="file" accept=".json,application/json" className="sr-only" onChange={fromFile} />
          </label>
        </div>
        {refused && !(refused.field in BEGIN) && (
          <p role="alert" className="mt-3 border-l-4 border-ochre bg-ochre-wash px-3 py-2 font-semibold">
            {refused.sentence}
          </p>
        )}
      </form>
      <section className="sheet p-4 md:p-5" aria-label="As it comes out">
        {isImporting && (
          <div className="mb-4">
            {importChart(
              (lines) => {
                setChart(lines)
                setForm((had) => ({ ...had, notes: notesOfChart(lines) }))
                setIsImporting(false)
              },
              () => setIsImporting(false),
            )}
          </div>
        )}
        {drawn.instrument ? (
          <Drawn instrument={drawn.instrument} />
        ) : (
          <p className="text-lg text-soft">It is drawn here as soon as its notes and lengths can be read.</p>
        )}
      </section>
    </div>
  )
}

interface Drawing {
  readonly instrument: Instrument | null
  readonly field: Field | null
  readonly sentence: string
}

/** The instrument as described so far, or the first field that can't be read. */
function draw(
  { lengths, notes, on: _on, year: _year, ...about }: Typed,
  chart: readonly ChartLine[],
  { unit, gutTop, referenceA }: WorkshopView,
): Drawing {
  let field: Field = 'notes'
  try {
    const read = readNotes(notes)
    field = 'lengths'
    return {
      instrument: withChart(
        fromPreset(
          {
            about: { ...about, slug: 'new', referenceA },
            notes: read,
            measured: readLengths(lengths, unit),
          },
          gutTop,
        ),
        chart,
      ),
      field: null,
      sentence: '',
    }
  } catch (error) {
    return { instrument: null, field, sentence: (error as RangeError).message }
  }
}

function Drawn({ instrument }: { readonly instrument: Instrument }) {
  const lines = instrument.positions.map(chartLine)
  const found = findings(lines, instrument.referenceA)
  return (
    <>
      <InstrumentSketch
        instrument={instrument}
        broken={[]}
        className="mx-auto h-[24rem] max-w-full md:h-[32rem]"
      />
      <h2 className="mt-3 text-xl font-semibold">{instrument.name.trim() || 'It has no name yet'}</h2>
      <p className="text-soft">
        {instrument.family}, {counted(instrument.positions.length, 'string')}:{' '}
        {sections(lines)
          .map(({ material, from, to }) => `${material} (${from === to ? from : `${from} to ${to}`})`)
          .join(', ')}
        .
      </p>
      <p className="text-sm text-soft">
        {found.length === 0
          ? 'The chart comes out with nothing odd in it.'
          : `${found.length} things to look at in its chart.`}{' '}
        Materials and gauges are proposals from a preset: the maker’s string chart comes first.
      </p>
    </>
  )
}

/** What was left as the family before has it becomes what the new family has; what was typed stays. */
function asItsFamily(form: Typed, changed: Typed): Typed {
  const [before, now] = [PRESETS[form.family].begins, PRESETS[changed.family].begins]
  return {
    ...changed,
    notes: form.notes === before.notes ? now.notes : form.notes,
    restTuning: form.restTuning === before.restTuning ? now.restTuning : form.restTuning,
    tensionClass: form.tensionClass === before.tensionClass ? now.tensionClass : form.tensionClass,
  }
}
