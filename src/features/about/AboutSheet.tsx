'use client'

import 'reflect-metadata'
import { classValidatorResolver } from '@hookform/resolvers/class-validator'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { setUpCalls } from '@/boundary/endpoints-set-up'
import { pages } from '@/boundary/paths'
import { AboutRequest } from '@/boundary/requests/about'
import { LEVERS_OFF, STRUNG, TENSION_CLASSES } from '@/core/instrument/instrument'
import { REST_TUNINGS } from '@/core/pitch/rest-tuning'
import type { About } from '@/data/instruments/about-instrument'
import { Choice } from '@/ui/form/Choice'
import { Entry } from '@/ui/form/Entry'
import { Labelled } from '@/ui/form/Labelled'
import { BackLink } from '@/ui/shell/BackLink'
import { useAct } from '@/ui/shell/use-act'

interface AboutSheetProps {
  readonly slug: string
  readonly about: About
  readonly isRetired: boolean
  /** Where off is, is asked only of what has levers. */
  readonly hasLevers: boolean
}

/** What is said of an instrument beside its chart: whose it is, who made it, what to know before touching it. */
export function AboutSheet({ slug, about, isRetired, hasLevers }: AboutSheetProps) {
  const { act, refused } = useAct()
  const {
    register,
    handleSubmit,
    formState: { errors, isSubmitting },
  } = useForm<AboutRequest>({ resolver: classValidatorResolver(AboutRequest), defaultValues: { ...about } })
  const router = useRouter()
  const [copyName, setCopyName] = useState(`${about.name}, a copy`)
  const copy = async () => {
    const made = await act(
      setUpCalls.copyInstrument(slug),
      { name: copyName },
      `${copyName} is on the shelf, without the history of ${about.name}.`,
    )
    if (made) router.push(pages.instrumentSheet(made.slug, 'about'))
  }
  const keep = handleSubmit(async (form) => {
    await act(setUpCalls.changeAbout(slug), form, `What is said of ${form.name} is kept.`)
  })
  return (
    <form onSubmit={keep} noValidate className="sheet max-w-4xl p-5">
      <BackLink to={pages.instrument(slug)}>{about.name}</BackLink>
      <h1 className="text-2xl font-semibold">About {about.name}</h1>
      <p className="text-soft">Its strings are in its chart. Orders and reports say what stands here.</p>
      <div className="mt-4 grid gap-4 sm:grid-cols-2">
        <Entry label="Name" problem={errors.name?.message} {...register('name')} />
        <Entry label="Owner" problem={errors.owner?.message} {...register('owner')} />
        <Entry label="Maker, as you write it" problem={errors.maker?.message} {...register('maker')} />
        <Entry label="Model" problem={errors.model?.message} {...register('model')} />
        <Choice
          label="Tension class"
          hint="Ask the maker before it is strung to another class."
          options={TENSION_CLASSES}
          problem={errors.tensionClass?.message}
          {...register('tensionClass')}
        />
        <Choice
          label="Which way round it is strung"
          options={STRUNG}
          problem={errors.strung?.message}
          {...register('strung')}
        />
        {hasLevers && (
          <Choice
            label="Its levers are off when they are"
            hint="The open string sounds lowest then."
            options={LEVERS_OFF}
            problem={errors.leversOff?.message}
            {...register('leversOff')}
          />
        )}
        <Choice
          label="Tuned at rest in"
          hint="With no lever or pedal engaged; the notes of its strings follow."
          options={REST_TUNINGS}
          problem={errors.restTuning?.message}
          {...register('restTuning')}
        />
        <Entry label="How it lies while you string it" problem={errors.lies?.message} {...register('lies')} />
        <Entry
          label="Reference A, Hz"
          type="number"
          step="any"
          problem={errors.referenceA?.message}
          {...register('referenceA', { valueAsNumber: true })}
        />
        <Entry
          label="Where the maker’s string chart is"
          hint="Its address on the web."
          inputMode="url"
          problem={errors.chartLink?.message}
          {...register('chartLink')}
        />
        <label className="flex items-start gap-3 sm:col-span-2">
          <input type="checkbox" className="mt-1" {...register('stocked')} />
          <span>
            <span className="font-semibold">Stock strings for this instrument</span>
            <span className="block text-sm text-soft">Orders then suggests strings when spares run low.</span>
          </span>
        </label>
        <div className="sm:col-span-2">
          <Labelled
            label="Notes"
            hint="What one should know before touching it."
            problem={errors.notes?.message}
          >
            {(wiring) => <textarea className="entry mt-1 min-h-28" {...wiring} {...register('notes')} />}
          </Labelled>
        </div>
      </div>
      {refused && (
        <p role="alert" className="mt-3 font-semibold text-ochre">
          {refused.sentence}
        </p>
      )}
      <div className="mt-5 flex flex-wrap gap-3">
        <button type="submit" className="button button-main" disabled={isSubmitting}>
          Keep it
        </button>
        <button
          type="button"
          className="button"
          onClick={() =>
            act(
              setUpCalls.retireInstrument(slug),
              { retired: !isRetired },
              isRetired ? `${about.name} is back on the shelf.` : `${about.name} is off the shelf.`,
            )
          }
        >
          {isRetired ? 'Put it back on the shelf' : 'Take it off the shelf'}
        </button>
      </div>
      <div className="mt-6 flex flex-wrap items-end gap-3 border-t border-rule pt-4">
        <div className="w-64">
          <Entry label="Copy it as" value={copyName} onChange={(event) => setCopyName(event.target.value)} />
        </div>
        <button type="button" className="button" onClick={copy}>
          Copy
        </button>
        <p className="text-sm text-soft">Its chart and hardware, for another one like it; no history.</p>
      </div>
    </form>
  )
}
