'use client'

import 'reflect-metadata'
import { classValidatorResolver } from '@hookform/resolvers/class-validator'
import { useRouter } from 'next/navigation'
import { useForm } from 'react-hook-form'
import { calls } from '@/boundary/calls'
import { pages } from '@/boundary/paths'
import type { Asked } from '@/core/fitting/step'
import { measure } from '@/core/measure'
import { lengthFigure } from '@/core/units/length'
import { gaugeFigure, withUnit } from '@/ui/format/gauge-typed'
import { Entry } from '@/ui/form/Entry'
import { measureText } from '@/ui/format/measure'
import { letGo } from '@/ui/away/use-keep-open'
import { useAnnounce } from '@/ui/shell/DoneBar'
import { send } from '@/ui/shell/send'
import { usePageTurner } from '@/ui/shell/use-page-turner'
import { useHouse } from '@/ui/units'
import { FinishRequest } from '@/boundary/requests/jobs'

interface LogFormProps {
  readonly jobId: number
  readonly predictedCut: number
  /** Null where the string is caught in a cord, and nothing is wound. */
  readonly predictedWraps: number | null
  readonly gauge: number
  /** What was measured on the way; lengths in m. */
  readonly measured: Readonly<Partial<Record<Asked, number>>>
  /** The coil it was cut from; null when the same string was put back. */
  readonly coil: { readonly label: string; readonly left: number } | null
  /** The tail is parked: the rest of the packet may hang by it, uncut. */
  readonly parks: boolean
}

/** What was really cut and wound; logging it cuts the coil and starts the settling. */
export function LogForm({ jobId, predictedCut, predictedWraps, gauge, measured, coil, parks }: LogFormProps) {
  const { unit, gaugeUnit, units } = useHouse()
  const router = useRouter()
  const announce = useAnnounce()
  const {
    register,
    handleSubmit,
    setError,
    formState: { errors, isSubmitting },
  } = useForm<FinishRequest>({
    resolver: classValidatorResolver(FinishRequest),
    defaultValues: {
      unit,
      ...(coil
        ? {
            cut: lengthFigure(measured.cut ?? Math.ceil(predictedCut * 1000) / 1000, {
              unit,
              digits: unit === 'mm' ? 0 : 2,
            }),
          }
        : {}),
      ...(predictedWraps === null ? {} : { wraps: measured.wraps ?? Math.round(predictedWraps * 4) / 4 }),
      ...(measured.gauge === undefined ? {} : { gauge: gaugeFigure(measured.gauge, gaugeUnit) }),
    },
  })
  usePageTurner()
  const text = (length: number) => measureText(measure('length', length), unit)

  const log = handleSubmit(async (form) => {
    const answer = await send(calls.finishJob(jobId), form)
    if (!answer.ok) {
      const field = answer.field === 'wraps' || answer.field === 'gauge' ? answer.field : 'cut'
      return setError(field, { message: answer.sentence })
    }
    void letGo()
    announce(
      coil && form.cut !== undefined
        ? 'The fitting is logged and the coil is cut in the stores.'
        : 'The fitting is logged.',
      answer.value.actionId,
    )
    router.push(pages.jobSheet(jobId, 'done'))
    router.refresh()
  })

  return (
    <form onSubmit={log} noValidate className="mt-4 grid max-w-xl gap-5">
      {coil && (
        <Entry
          label="Cut from the coil"
          hint={`Worked out: ${text(predictedCut)}. ${coil.label} holds ${text(coil.left)}. In ${unit} unless you write the unit.${parks ? ' Leave it empty if the rest of the packet hangs parked on the neck: it is booked when you trim.' : ''}`}
          problem={errors.cut?.message}
          inputMode="decimal"
          {...register('cut', {
            setValueAs: (value?: string) => (value?.trim() ? value : parks ? undefined : value),
          })}
        />
      )}
      {predictedWraps !== null && (
        <Entry
          label="Wraps on the pin at pitch"
          hint={`Worked out: ${measureText(measure('wraps', predictedWraps), unit)}. Quarters will do.`}
          problem={errors.wraps?.message}
          type="number"
          step="0.25"
          {...register('wraps', { valueAsNumber: true })}
        />
      )}
      <Entry
        label="Gauge of the new string, if you measured it"
        hint={`On the packet: ${measureText(measure('gauge', gauge), units)}.`}
        problem={errors.gauge?.message}
        inputMode="decimal"
        {...register('gauge', {
          setValueAs: (value: string) => (value?.trim() ? withUnit(value, gaugeUnit) : undefined),
        })}
      />
      <button
        type="submit"
        data-go-on
        className="button button-main min-h-12 text-lg"
        disabled={isSubmitting}
      >
        Log the fitting
      </button>
    </form>
  )
}
