'use client'

import 'reflect-metadata'
import { classValidatorResolver } from '@hookform/resolvers/class-validator'
import { useRouter } from 'next/navigation'
import { useForm, type FieldPath } from 'react-hook-form'
import { STRING_COLOURS } from '@/core/instrument/instrument'
import { endpoints } from '@/boundary/endpoints'
import { STRING_ENDS } from '@/core/knots/string-ends'
import { SOLD_CLASSES } from '@/core/stores/string-spec'
import { withUnit } from '@/ui/format/gauge-typed'
import { Choice } from '@/ui/form/Choice'
import { Entry } from '@/ui/form/Entry'
import { useAnnounce } from '@/ui/shell/UndoToast'
import { send } from '@/ui/shell/send'
import { useWorkshop } from '@/ui/units'
import { BookInRequest, PLAIN_MATERIALS } from '@/boundary/requests/stores'

/** Books a plain string in: what its packet says. */
const GAUGE_HINTS = { mm: '0.64, or .025 in', in: '.025, or 25 thou', thou: '25, or 0.64 mm' } as const

export function BookInForm() {
  const { unit, gaugeUnit } = useWorkshop()
  const router = useRouter()
  const announce = useAnnounce()
  const {
    register,
    handleSubmit,
    reset,
    setError,
    formState: { errors, isSubmitting },
  } = useForm<BookInRequest>({
    resolver: classValidatorResolver(BookInRequest),
    defaultValues: { unit, material: 'gut', colour: 'natural', tensionClass: 'concert', end: 'plain' },
  })
  const book = handleSubmit(async (form) => {
    const answer = await send(endpoints.bookIn, form)
    if (!answer.ok)
      return setError((answer.field ?? 'label') as FieldPath<BookInRequest>, { message: answer.sentence })
    announce(`${form.label} is in the stores.`, answer.value.actionId)
    reset()
    router.refresh()
  })
  return (
    <form onSubmit={book} noValidate className="mt-3 grid grid-cols-2 gap-3">
      <div className="col-span-2">
        <Entry label="Label on the packet" problem={errors.label?.message} {...register('label')} />
      </div>
      <div className="col-span-2">
        <Choice
          label="Material"
          options={PLAIN_MATERIALS}
          problem={errors.material?.message}
          {...register('material')}
        />
      </div>
      <Entry
        label="Gauge"
        hint={GAUGE_HINTS[gaugeUnit]}
        problem={errors.gauge?.message}
        inputMode="decimal"
        {...register('gauge', { setValueAs: (value: string) => withUnit(value, gaugeUnit) })}
      />
      <Entry
        label="Length"
        hint={unit === 'mm' ? '1400, or 1.4 m' : '55, or 1.4 m'}
        problem={errors.length?.message}
        inputMode="decimal"
        {...register('length')}
      />
      <Choice
        label="Colour"
        options={STRING_COLOURS}
        problem={errors.colour?.message}
        {...register('colour')}
      />
      <Choice
        label="Tension class"
        options={SOLD_CLASSES}
        problem={errors.tensionClass?.message}
        {...register('tensionClass')}
      />
      <div className="col-span-2">
        <Choice label="End" options={STRING_ENDS} problem={errors.end?.message} {...register('end')} />
      </div>
      <Entry label="Maker" problem={errors.maker?.message} {...register('maker')} />
      <Entry label="Where it lies" problem={errors.place?.message} {...register('place')} />
      <button type="submit" className="button button-main col-span-2" disabled={isSubmitting}>
        Book it in
      </button>
    </form>
  )
}
