'use client'

import 'reflect-metadata'
import { classValidatorResolver } from '@hookform/resolvers/class-validator'
import { useRouter } from 'next/navigation'
import { useForm } from 'react-hook-form'
import {
  ANCHOR_PLACES, BECKETS, CUTTINGS, KNOT_SETTINGS, SLACK_INTERVALS, SPACING_RULES, TAIL_TRIMS, THREADINGS,
} from '@/core/fitting/habits'
import { CURRENCIES } from '@/core/stores/money'
import { lengthFigure } from '@/core/units/length'
import type { House } from '@/data/house'
import { Choice } from '@/ui/form/Choice'
import { Entry } from '@/ui/form/Entry'
import { useAnnounce } from '@/ui/shell/DoneBar'
import { send } from '@/ui/shell/send'
import { HouseRequest } from './requests'

/** The house's units and habits; each changes figures and steps from the next job on. */
export function HouseForm({ house }: { house: House }) {
  const router = useRouter()
  const announce = useAnnounce()
  const { register, handleSubmit, setError, formState: { errors, isSubmitting } } = useForm<HouseRequest>({
    resolver: classValidatorResolver(HouseRequest),
    defaultValues: {
      ...house.habits, unit: house.unit, retuneAtCents: house.retuneAtCents, holdsWithinCents: house.holdsWithinCents, leastSpares: house.leastSpares, currency: house.currency,
      tail: lengthFigure(house.habits.tail, { unit: house.unit, digits: house.unit === 'mm' ? 0 : 2 }),
    },
  })
  const keep = handleSubmit(async (form) => {
    const answer = await send<{ actionId: number }>('/api/house', form, 'PATCH')
    if (!answer.ok) return setError((answer.field ?? 'unit') as keyof HouseRequest, { message: answer.sentence })
    announce('The house’s settings are changed.', answer.value.actionId)
    router.refresh()
  })
  const number = { valueAsNumber: true } as const
  return (
    <form onSubmit={keep} noValidate className="sheet max-w-4xl p-5">
      <h1 className="text-2xl font-semibold">{house.name}</h1>
      <p className="text-soft">How this house works. None of these is wrong; each changes the figures and steps of the jobs from now on.</p>
      <fieldset className="mt-5 grid gap-4 border-t border-ink pt-3 sm:grid-cols-2">
        <legend className="pr-3 font-plate text-lg font-semibold">Measures</legend>
        <Choice label="Unit" options={['mm', 'in']} problem={errors.unit?.message} {...register('unit')} />
        <Entry label="Retune a settling string at, cents" hint="It is brought back when it has fallen so far." type="number" step="any" problem={errors.retuneAtCents?.message} {...register('retuneAtCents', number)} />
        <Entry label="In tune before people, cents" hint="A string is ready when it holds within this." type="number" step="any" problem={errors.holdsWithinCents?.message} {...register('holdsWithinCents', number)} />
      </fieldset>
      <fieldset className="mt-5 grid gap-4 border-t border-ink pt-3 sm:grid-cols-2">
        <legend className="pr-3 font-plate text-lg font-semibold">Stores</legend>
        <Entry label="Spares of each charted string" hint="Where fewer can be cut, it belongs on the need list." type="number" step="1" problem={errors.leastSpares?.message} {...register('leastSpares', number)} />
        <Choice label="The house’s money" options={CURRENCIES} problem={errors.currency?.message} {...register('currency')} />
      </fieldset>
      <fieldset className="mt-5 grid gap-4 border-t border-ink pt-3 sm:grid-cols-2">
        <legend className="pr-3 font-plate text-lg font-semibold">On the pin</legend>
        <Entry label="Wraps wanted at pitch" type="number" step="0.5" problem={errors.wraps?.message} {...register('wraps', number)} />
        <Choice label="Slack judged by pins as" options={Object.keys(SLACK_INTERVALS)} hint="Four pins, three and a half, or seven." problem={errors.slackInterval?.message} {...register('slackInterval')} />
        <Choice label="Pins counted" options={SPACING_RULES} problem={errors.spacing?.message} {...register('spacing')} />
        <Choice label="Becket set" options={BECKETS} problem={errors.becket?.message} {...register('becket')} />
        <Entry label="Tail left beyond the hole" problem={errors.tail?.message} {...register('tail')} />
        <Choice label="Tail trimmed" options={TAIL_TRIMS} problem={errors.tailTrim?.message} {...register('tailTrim')} />
      </fieldset>
      <fieldset className="mt-5 grid gap-4 border-t border-ink pt-3 sm:grid-cols-2">
        <legend className="pr-3 font-plate text-lg font-semibold">At the knot</legend>
        <Choice label="Threading" options={THREADINGS} problem={errors.threading?.message} {...register('threading')} />
        <Choice label="Anchor sits" options={ANCHOR_PLACES} problem={errors.anchorPlace?.message} {...register('anchorPlace')} />
        <Choice label="Knot set by" options={KNOT_SETTINGS} problem={errors.knotSet?.message} {...register('knotSet')} />
        <Choice label="Cutting" options={CUTTINGS} problem={errors.cutting?.message} {...register('cutting')} />
      </fieldset>
      <button type="submit" className="button button-main mt-6" disabled={isSubmitting}>Keep these settings</button>
    </form>
  )
}
