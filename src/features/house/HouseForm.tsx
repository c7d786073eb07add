'use client'

import 'reflect-metadata'
import { classValidatorResolver } from '@hookform/resolvers/class-validator'
import { useRouter } from 'next/navigation'
import { useForm } from 'react-hook-form'
import { calls } from '@/boundary/calls'
import { CURRENCIES } from '@/core/stores/money'
import type { House } from '@/data/house/house'
import { Choice } from '@/ui/form/Choice'
import { Entry } from '@/ui/form/Entry'
import { useAnnounce } from '@/ui/shell/DoneBar'
import { send } from '@/ui/shell/send'
import { HouseRequest } from '@/boundary/requests/house'

/** The house's units, tolerances and stores. */
export function HouseForm({ house }: { house: House }) {
  const router = useRouter()
  const announce = useAnnounce()
  const {
    register,
    handleSubmit,
    setError,
    formState: { errors, isSubmitting },
  } = useForm<HouseRequest>({
    resolver: classValidatorResolver(HouseRequest),
    defaultValues: {
      unit: house.unit,
      retuneAtCents: house.retuneAtCents,
      holdsWithinCents: house.holdsWithinCents,
      concertHours: house.concertHours,
      leastSpares: house.leastSpares,
      currency: house.currency,
    },
  })
  const keep = handleSubmit(async (form) => {
    const answer = await send(calls.changeHouse, form)
    if (!answer.ok)
      return setError((answer.field ?? 'unit') as keyof HouseRequest, { message: answer.sentence })
    announce('The house’s settings are changed.', answer.value.actionId)
    router.refresh()
  })
  const number = { valueAsNumber: true } as const
  return (
    <form onSubmit={keep} noValidate className="sheet max-w-4xl p-5">
      <h1 className="text-2xl font-semibold">{house.name}</h1>
      <p className="text-soft">
        Units, tolerances and stores. How this house fits strings is on the sheet of habits.
      </p>
      <fieldset className="mt-5 grid gap-4 border-t border-ink pt-3 sm:grid-cols-2">
        <legend className="pr-3 font-plate text-lg font-semibold">Measures</legend>
        <Choice label="Unit" options={['mm', 'in']} problem={errors.unit?.message} {...register('unit')} />
        <Entry
          label="Retune a settling string at, cents"
          hint="It is brought back when it has fallen so far."
          type="number"
          step="any"
          problem={errors.retuneAtCents?.message}
          {...register('retuneAtCents', number)}
        />
        <Entry
          label="In tune before people, cents"
          hint="A string is ready when it holds within this."
          type="number"
          step="any"
          problem={errors.holdsWithinCents?.message}
          {...register('holdsWithinCents', number)}
        />
        <Entry
          label="A concert lasts, hours"
          hint="A string that is ready holds so long."
          type="number"
          step="any"
          problem={errors.concertHours?.message}
          {...register('concertHours', number)}
        />
      </fieldset>
      <fieldset className="mt-5 grid gap-4 border-t border-ink pt-3 sm:grid-cols-2">
        <legend className="pr-3 font-plate text-lg font-semibold">Stores</legend>
        <Entry
          label="Spares of each charted string"
          hint="Where fewer can be cut, it belongs on the need list."
          type="number"
          step="1"
          problem={errors.leastSpares?.message}
          {...register('leastSpares', number)}
        />
        <Choice
          label="The house’s money"
          options={CURRENCIES}
          problem={errors.currency?.message}
          {...register('currency')}
        />
      </fieldset>
      <button type="submit" className="button button-main mt-6" disabled={isSubmitting}>
        Keep these settings
      </button>
    </form>
  )
}
