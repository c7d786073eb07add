'use client'

import 'reflect-metadata'
import { classValidatorResolver } from '@hookform/resolvers/class-validator'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { TriangleAlert } from 'lucide-react'
import { numberName, withThe } from '@/core/instrument/names'
import { measure } from '@/core/measure'
import type { Verdict } from '@/core/settle/readings'
import { coreMaterial } from '@/core/strings/construction'
import type { Settling } from '@/data/fitted/settling'
import { ReadingRequest } from '@/boundary/requests/settling'
import { measureText } from '@/ui/format/measure'
import { distanceText, nearText } from '@/ui/format/time'
import { useAnnounce } from '@/ui/shell/DoneBar'
import { send } from '@/ui/shell/send'
import { useHouse } from '@/ui/units'

interface RetuneRowProps {
  readonly settling: Settling
  readonly now: number
  readonly tolerance: number
}

/** One settling string: where it should stand, when it is due, and a place for the cents that were read. */
export function RetuneRow({ settling: s, now, tolerance }: RetuneRowProps) {
  const { timeZone, unit } = useHouse()
  const due = s.nextAt !== null && s.nextAt <= now
  const [reading, setReading] = useState(false)
  return (
    <li className="grid items-center gap-x-4 gap-y-1 py-2.5 sm:grid-cols-[minmax(0,1fr)_11rem_auto]">
      <div>
        <Link
          href={`/instruments/${s.slug}?string=${s.position.number}`}
          className="inline-block font-semibold first-letter:uppercase hover:underline"
        >
          {s.name} of {s.instrumentName}
        </Link>
        <p className="text-sm text-soft">
          {numberName(s.position) === s.name ? '' : `${numberName(s.position)}; `}
          {settlesWord(s)}
        </p>
        {s.slipping && (
          <p className="flex items-start gap-1.5 text-sm font-semibold text-ochre">
            <TriangleAlert size={16} className="mt-0.5 shrink-0" aria-hidden /> Fell further than settling
            can: look at knot and pin before you retune it.
          </p>
        )}
      </div>
      <div className="text-sm">
        <span className="block">
          stands near <strong>{measureText(measure('cents', s.expectedNow), unit)}</strong>
        </span>
        <span className={`block ${due ? 'font-semibold text-ochre' : 'text-soft'}`}>
          {s.nextAt === null
            ? 'holds from here on'
            : due
              ? `due ${distanceText(s.nextAt, now)}`
              : nearText(s.nextAt, now, timeZone)}
        </span>
      </div>
      {due || s.slipping || reading ? (
        <ReadingForm settling={s} tolerance={tolerance} />
      ) : (
        <button
          type="button"
          className="min-h-11 text-left text-sm font-semibold text-verdigris hover:underline"
          onClick={() => setReading(true)}
          aria-label={`Log a reading: ${s.name} of ${s.instrumentName}${numberName(s.position) === s.name ? '' : `, ${numberName(s.position)}`}`}
        >
          Log a reading
        </button>
      )}
    </li>
  )
}

/** How it settles, against what strings of its kind usually do. */
function settlesWord({ law, start, lawIsOwn, fitted }: Settling): string {
  // What it is made of in a word: which nylon makes no difference here.
  const kind = coreMaterial(fitted.construction).name.replace(/ [\d.]+$/, '')
  const ratio = law.perDecade / start.perDecade
  if (!lawIsOwn)
    return fitted.moved ? `settles as ${kind} does that was on before` : `settles as ${kind} usually does`
  if (ratio > 1.15) return `settles faster than ${kind} usually does`
  return ratio < 0.87 ? `settles more slowly than ${kind} usually does` : `settles as ${kind} usually does`
}

/** What a reading was taken for, in the words that the person who read it is told. */
function toldOf(kind: Verdict['kind'], expected: number, tolerance: number): string {
  const cents = `${expected.toFixed(0)} cents`.replace('-', '−')
  switch (kind) {
    case 'slip':
      return `That is more than settling: ${cents} was to be expected. Look at knot and pin.`
    case 'rise':
      return `That is odd: a string only falls by itself, and ${cents} was to be expected. It is kept, and not counted in its settling; look at the weather, and at the tuner.`
    case 'settling':
      return `Logged; ${cents} was to be expected. It is due again when it has fallen by ${tolerance}.`
  }
}

function ReadingForm({ settling: s, tolerance }: { settling: Settling; tolerance: number }) {
  const router = useRouter()
  const announce = useAnnounce()
  const {
    register,
    handleSubmit,
    reset,
    setError,
    formState: { errors, isSubmitting },
  } = useForm<ReadingRequest>({
    resolver: classValidatorResolver(ReadingRequest),
    defaultValues: { fittedId: s.fitted.id, positionId: s.positionId, broughtBack: true },
  })
  const log = handleSubmit(async (form) => {
    const answer = await send<{ actionId: number } & Pick<Verdict, 'kind' | 'expected'>>(
      '/api/readings',
      form,
    )
    if (!answer.ok) return setError('cents', { message: answer.sentence })
    const { actionId, kind, expected } = answer.value
    announce(toldOf(kind, expected, tolerance), actionId)
    reset({ fittedId: s.fitted.id, positionId: s.positionId, broughtBack: true })
    router.refresh()
  })
  const name = `${s.name} of ${s.instrumentName}, ${numberName(s.position)}`
  return (
    <form onSubmit={log} noValidate className="flex flex-wrap items-center gap-2">
      <input
        type="number"
        step="any"
        className="entry w-20"
        aria-label={`Cents read on ${withThe(name)}`}
        placeholder="cents"
        aria-invalid={errors.cents !== undefined}
        {...register('cents', { valueAsNumber: true })}
      />
      <label className="flex min-h-11 items-center gap-1.5 text-sm">
        <input type="checkbox" className="size-5 accent-verdigris" {...register('broughtBack')} /> brought
        back
      </label>
      <button
        type="submit"
        className="button"
        disabled={isSubmitting}
        aria-label={`Log the reading of ${withThe(name)}`}
      >
        Log
      </button>
      {errors.cents && (
        <p role="alert" className="w-full text-sm font-semibold text-ochre">
          {errors.cents.message}
        </p>
      )}
    </form>
  )
}
