'use client'

import 'reflect-metadata'
import { classValidatorResolver } from '@hookform/resolvers/class-validator'
import { useRouter } from 'next/navigation'
import { useForm } from 'react-hook-form'
import { endpoints } from '@/boundary/endpoints'
import { pages } from '@/boundary/paths'
import type { Asked } from '@/core/fitting/step'
import { measure } from '@/core/measure'
import { lengthFigure } from '@/core/units/length'
import { gaugeFigure, withUnit } from '@/ui/format/gauge-typed'
import { Entry } from '@/ui/form/Entry'
import { measureText } from '@/ui/format/measure'
import { sendOrQueue, outboxNow } from '@/ui/offline/outbox'
import { letGo } from '@/ui/offline/use-keep-open'
import { useOutbox } from '@/ui/offline/use-outbox'
import { useBrowserHas } from '@/ui/hands-free/use-browser-has'
import { useStoredState } from '@/ui/kept/use-stored-state'
import { useAnnounce } from '@/ui/shell/UndoToast'
import { usePageTurner } from '@/ui/shell/use-page-turner'
import { useWorkshop } from '@/ui/units'
import { FinishRequest } from '@/boundary/requests/jobs'
import { measuredWith } from './with-waiting'

interface LogFormProps {
  readonly jobId: number
  /** What the string is called: `the 3rd-octave A of Lovage`. */
  readonly name: string
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

type Typed = Partial<Omit<FinishRequest, 'unit'>>
const NOTHING: Typed = {}
const always = () => true

/** What was really cut and wound; logging it cuts the coil and starts the settling. What is typed stays until it is logged, offline too. */
export function LogForm(props: LogFormProps) {
  // What this device has is read in the browser: the form begins anew with it.
  const isInBrowser = useBrowserHas(always)
  return <LogFields key={String(isInBrowser)} {...props} />
}

function LogFields({
  jobId,
  name,
  predictedCut,
  predictedWraps,
  gauge,
  measured,
  coil,
  parks,
}: LogFormProps) {
  const { unit, gaugeUnit, units } = useWorkshop()
  const router = useRouter()
  const announce = useAnnounce()
  const { waits } = useOutbox()
  const known = measuredWith(measured, jobId, waits)
  const [typed, setTyped] = useStoredState(`log of job ${jobId}`, NOTHING)
  const {
    register,
    handleSubmit,
    setError,
    getValues,
    formState: { errors, isSubmitting },
  } = useForm<FinishRequest>({
    resolver: classValidatorResolver(FinishRequest),
    defaultValues: {
      unit,
      ...(coil ? { cut: cutText(known.cut, coil.left) } : {}),
      ...(predictedWraps === null ? {} : { wraps: known.wraps ?? Math.round(predictedWraps * 4) / 4 }),
      ...(known.gauge === undefined ? {} : { gauge: gaugeFigure(known.gauge, gaugeUnit) }),
      ...typed,
    },
  })
  usePageTurner()
  const text = (length: number) => measureText(measure('length', length), unit)

  /**
   * None where the rest of the packet hangs by the parked tail: nobody can know the cut yet. None and not empty, so that
   * what was typed before the page was awake stays: an empty default would wipe it.
   */
  function cutText(cut: number | undefined, left: number): string | undefined {
    const hangs = parks && left - predictedCut <= LONGEST_PARKED
    if (cut === undefined && hangs) return undefined
    return lengthFigure(cut ?? Math.ceil(predictedCut * 1000) / 1000, { unit, digits: unit === 'mm' ? 0 : 2 })
  }

  const log = handleSubmit(async (form) => {
    const answer = await sendOrQueue(endpoints.finishJob(jobId), form, `The log of ${name}`)
    if (answer === 'waits') {
      // Another window of this browser may have sent it: the page then shows what came of it.
      if (!outboxNow().waits.some(({ path }) => path === endpoints.finishJob(jobId).path)) router.refresh()
      return
    }
    if (!answer.ok) {
      const field = answer.field === 'wraps' || answer.field === 'gauge' ? answer.field : 'cut'
      return setError(field, { message: answer.sentence })
    }
    void letGo()
    setTyped(NOTHING)
    announce(
      coil && form.cut !== undefined
        ? 'The fitting is logged and the coil is cut in the stores.'
        : 'The fitting is logged.',
      answer.value.actionId,
    )
    router.push(pages.jobSheet(jobId, 'done'))
    router.refresh()
  })

  if (waits.some(({ path }) => path === endpoints.finishJob(jobId).path))
    return (
      <p role="status" className="mt-4 max-w-xl border-l-4 border-verdigris bg-verdigris-wash px-3 py-2">
        <strong>The log is saved on this device.</strong> Taut Pinset will send it when it is back online.
      </p>
    )
  return (
    <form
      onSubmit={log}
      onChange={() => setTyped(typedIn(getValues()))}
      noValidate
      className="mt-4 grid max-w-xl gap-5"
    >
      {coil && (
        <Entry
          label="Cut from the coil"
          hint={`Predicted: ${text(predictedCut)}. ${coil.label} has ${text(coil.left)}. Type ${unit}, or write the unit.${parks ? ' Leave it empty if the rest of the packet hangs on the neck. You enter it when you trim.' : ''}`}
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

/** What is stored of what was typed: all but the unit, which is the workshop’s. */
const typedIn = ({ cut, wraps, gauge }: FinishRequest): Typed => ({
  ...(cut === undefined ? {} : { cut }),
  ...(wraps === undefined ? {} : { wraps }),
  ...(gauge === undefined ? {} : { gauge }),
})

/** More than this nobody leaves hanging on a neck, m: what comes from a reel is cut first. */
const LONGEST_PARKED = 1.5
