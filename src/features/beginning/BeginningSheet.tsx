'use client'

import 'reflect-metadata'
import { classValidatorResolver } from '@hookform/resolvers/class-validator'
import { useRouter } from 'next/navigation'
import { useEffect, useState, type ReactNode } from 'react'
import { useForm, useWatch } from 'react-hook-form'
import { endpoints } from '@/boundary/endpoints'
import { pages } from '@/boundary/paths'
import { BeginRequest } from '@/boundary/requests/workshop'
import { CURRENCIES } from '@/core/stores/money'
import { Choice } from '@/ui/form/Choice'
import { Entry } from '@/ui/form/Entry'
import { useAnnounce } from '@/ui/shell/UndoToast'
import { send } from '@/ui/shell/send'

/**
 * The first page of an empty house: three questions, then the first instrument.
 *
 * @param moveIn - the way in for a house from elsewhere
 */
export function BeginningSheet({ moveIn }: { readonly moveIn: ReactNode }) {
  const router = useRouter()
  const announce = useAnnounce()
  const {
    register,
    handleSubmit,
    setError,
    setValue,
    control,
    formState: { errors, isSubmitting },
  } = useForm<BeginRequest>({
    resolver: classValidatorResolver(BeginRequest),
    defaultValues: { name: '', unit: 'mm', currency: 'EUR', timeZone: 'UTC', gaugesInThou: false },
  })
  const unit = useWatch({ control, name: 'unit' })
  useEffect(() => {
    setValue('timeZone', Intl.DateTimeFormat().resolvedOptions().timeZone)
  }, [setValue])
  const begin = handleSubmit(async (form) => {
    const answer = await send(endpoints.beginWorkshop, form)
    if (!answer.ok)
      return setError((answer.field ?? 'name') as keyof BeginRequest, { message: answer.sentence })
    announce(`${form.name} is begun.`, answer.value.actionId)
    router.push(pages.newInstrument)
    router.refresh()
  })
  return (
    <div className="mx-auto grid max-w-4xl items-start gap-4 md:grid-cols-[minmax(0,1fr)_18rem]">
      <form onSubmit={begin} noValidate className="sheet p-5 md:p-7">
        <h1 className="text-3xl font-semibold">Three questions, then your first instrument</h1>
        <p className="mt-2 max-w-prose text-soft">
          After that, when a string breaks, you are told which it is, what to cut, how to fit it, and when it
          will hold.
        </p>
        <div className="mt-6 grid gap-5">
          <Entry
            label="What is the house called?"
            hint="Your name, your workshop, your ensemble."
            problem={errors.name?.message}
            {...register('name')}
          />
          <div className="grid gap-5 sm:grid-cols-2">
            <Choice
              label="What do you measure in?"
              options={['mm', 'in']}
              problem={errors.unit?.message}
              {...register('unit')}
            />
            <Choice
              label="What do you pay in?"
              options={CURRENCIES}
              problem={errors.currency?.message}
              {...register('currency')}
            />
          </div>
          {unit === 'in' && (
            <label className="flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                className="size-5 shrink-0 accent-verdigris"
                {...register('gaugesInThou')}
              />
              Gauges in thousandths: 41 thou instead of .041 in
            </label>
          )}
        </div>
        <button
          type="submit"
          className="button button-main mt-6 min-h-12 px-6 text-lg"
          disabled={isSubmitting}
        >
          Go on to the first instrument
        </button>
        <p className="mt-3 text-sm text-soft">
          All of it can be changed under House. Nothing leaves this machine.
          {errors.timeZone && <span role="alert"> {errors.timeZone.message}</span>}
        </p>
      </form>
      <div className="grid gap-4">
        <LookAround />
        <section className="sheet p-5" aria-label="From an archive">
          <h2 className="text-lg font-semibold">Moving in?</h2>
          <p className="text-sm text-soft">Bring a house from another machine, out of its archive.</p>
          {moveIn}
        </section>
      </div>
    </div>
  )
}

/** The demo, kept apart from the house that is not there yet. */
function LookAround() {
  const router = useRouter()
  const [isLaying, setIsLaying] = useState(false)
  const [problem, setProblem] = useState<string | null>(null)
  const look = async () => {
    setIsLaying(true)
    const answer = await send(endpoints.visitShelf, {})
    setIsLaying(false)
    setProblem(answer.ok ? null : answer.sentence)
    if (answer.ok) router.refresh()
  }
  return (
    <section className="sheet p-5" aria-labelledby="look-around">
      <h2 id="look-around" className="text-xl font-semibold">
        Or look around first
      </h2>
      <p className="mt-1 text-soft">
        The Lantern Shelf lends ten instruments and has two years of history, all made up. It is kept apart
        from your house.
      </p>
      <button type="button" className="button mt-3" disabled={isLaying} onClick={look}>
        {isLaying ? 'It is being laid out…' : 'Look around the Lantern Shelf'}
      </button>
      {problem && (
        <p role="alert" className="mt-2 font-semibold text-ochre">
          {problem}
        </p>
      )}
    </section>
  )
}
