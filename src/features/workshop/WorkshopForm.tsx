'use client'

import 'reflect-metadata'
import { classValidatorResolver } from '@hookform/resolvers/class-validator'
import { useRouter } from 'next/navigation'
import { Controller, useForm, useWatch, type Control } from 'react-hook-form'
import { endpoints } from '@/boundary/endpoints'
import { CURRENCIES } from '@/core/stores/money'
import type { Workshop } from '@/data/workshop/settings'
import { Choice } from '@/ui/form/Choice'
import { Entry } from '@/ui/form/Entry'
import { Labelled } from '@/ui/form/Labelled'
import { useAnnounce } from '@/ui/shell/UndoToast'
import { send } from '@/ui/shell/send'
import { WorkshopRequest } from '@/boundary/requests/workshop'

const ZONES = Intl.supportedValuesOf('timeZone')

const DAYS = ['Mondays', 'Tuesdays', 'Wednesdays', 'Thursdays', 'Fridays', 'Saturdays', 'Sundays']

/** Names a line each, empty lines left out. */
const namesIn = (text: string) =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '')

/** The house's name and people, units, tolerances and stores. */
export function WorkshopForm({ workshop }: { workshop: Workshop }) {
  const router = useRouter()
  const announce = useAnnounce()
  const {
    register,
    handleSubmit,
    setError,
    setValue,
    control,
    formState: { errors, isSubmitting },
  } = useForm<WorkshopRequest>({
    resolver: classValidatorResolver(WorkshopRequest),
    defaultValues: {
      name: workshop.name,
      address: workshop.address,
      timeZone: workshop.timeZone,
      referenceA: workshop.referenceA,
      people: [...workshop.people],
      unit: workshop.unit,
      gaugesInThou: workshop.gaugesInThou,
      retuneAtCents: workshop.retuneAtCents,
      holdsWithinCents: workshop.holdsWithinCents,
      concertHours: workshop.concertHours,
      opensAt: workshop.opensAt,
      closesAt: workshop.closesAt,
      openDays: [...workshop.openDays],
      leastSpares: workshop.leastSpares,
      sparesBy: workshop.sparesBy,
      keepsStores: workshop.keepsStores,
      currency: workshop.currency,
      sureChance: workshop.sureChance,
      loadShare: workshop.loadShare,
      hourMinor: workshop.hourMinor,
    },
  })
  const days = useWatch({ control, name: 'openDays' })
  const keep = handleSubmit(async (form) => {
    const answer = await send(endpoints.changeWorkshop, form)
    if (!answer.ok)
      return setError((answer.field ?? 'unit') as keyof WorkshopRequest, { message: answer.sentence })
    announce('The house’s settings are changed.', answer.value.actionId)
    router.refresh()
  })
  const number = { valueAsNumber: true } as const
  return (
    <form onSubmit={keep} noValidate className="sheet max-w-4xl p-5">
      <h1 className="text-2xl font-semibold">{workshop.name}</h1>
      <p className="text-soft">
        Its name and people, units, tolerances and stores. How this house fits strings is on the sheet of
        habits.
      </p>
      <fieldset className="mt-5 grid gap-4 border-t border-ink pt-3 sm:grid-cols-2">
        <legend className="pr-3 font-plate text-lg font-semibold">The house</legend>
        <Entry label="Name" problem={errors.name?.message} {...register('name')} />
        <Choice
          label="Time zone"
          hint="Days and hours are told in it."
          options={ZONES.includes(workshop.timeZone) ? ZONES : [workshop.timeZone, ...ZONES]}
          problem={errors.timeZone?.message}
          {...register('timeZone')}
        />
        <Labelled
          label="Address"
          hint="Printed on reports. Street, town, telephone, mail: one a line."
          problem={errors.address?.message}
        >
          {(wiring) => <textarea className="entry mt-1 min-h-24" {...wiring} {...register('address')} />}
        </Labelled>
        <div className="sm:col-span-2">
          <Labelled
            label="People who work here"
            hint="A name a line. Say at the top of a page who is at the bench, and the history tells who did what."
            problem={errors.people?.message ?? errors.people?.find?.((one) => one)?.message}
          >
            {(wiring) => (
              <textarea
                className="entry mt-1 min-h-24"
                defaultValue={workshop.people.join('\n')}
                onChange={(event) => setValue('people', namesIn(event.target.value))}
                {...wiring}
              />
            )}
          </Labelled>
        </div>
      </fieldset>
      <fieldset className="mt-5 grid gap-4 border-t border-ink pt-3 sm:grid-cols-2">
        <legend className="pr-3 font-plate text-lg font-semibold">When someone is there to tune</legend>
        <Entry label="From" type="time" problem={errors.opensAt?.message} {...register('opensAt')} />
        <Entry label="Until" type="time" problem={errors.closesAt?.message} {...register('closesAt')} />
        <div className="sm:col-span-2">
          <div className="flex flex-wrap gap-x-5" role="group" aria-label="Days">
            {DAYS.map((day, i) => (
              <label key={day} className="flex min-h-11 items-center gap-2">
                <input
                  type="checkbox"
                  className="size-5 accent-verdigris"
                  checked={days.includes(i + 1)}
                  onChange={({ target }) =>
                    setValue(
                      'openDays',
                      [...days.filter((one) => one !== i + 1), ...(target.checked ? [i + 1] : [])].sort(),
                    )
                  }
                />
                {day}
              </label>
            ))}
          </div>
          {errors.openDays && (
            <p role="alert" className="text-sm font-semibold text-ochre">
              {errors.openDays.message}
            </p>
          )}
          <p className="text-sm text-soft">No retune is asked for at another hour.</p>
        </div>
      </fieldset>
      <fieldset className="mt-5 grid gap-4 border-t border-ink pt-3 sm:grid-cols-2">
        <legend className="pr-3 font-plate text-lg font-semibold">Measures</legend>
        <Choice label="Unit" options={['mm', 'in']} problem={errors.unit?.message} {...register('unit')} />
        <label className="flex min-h-10 items-center gap-2 sm:col-span-2">
          <input type="checkbox" className="size-4 accent-verdigris" {...register('gaugesInThou')} />
          Gauges in thousandths of an inch, whatever lengths are in.
        </label>
        <Entry
          label="Reference A, Hz"
          hint="What new instruments are tuned to; each can have its own."
          type="number"
          step="any"
          problem={errors.referenceA?.message}
          {...register('referenceA', number)}
        />
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
        <label className="flex min-h-10 items-center gap-2 sm:col-span-2">
          <input type="checkbox" className="size-4 accent-verdigris" {...register('keepsStores')} />
          We keep strings in store. Without it you are never asked about coils.
        </label>
        <label className="block text-sm sm:col-span-2">
          How many spares to keep
          <select className="entry mt-1" {...register('sparesBy')}>
            <option value="number">the same number of each</option>
            <option value="chance">as many as may break before new ones can be here</option>
          </select>
        </label>
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
        <HundredthsEntry
          control={control}
          name="sureChance"
          of={100}
          label="How sure you want to be, %"
          hint="That no string spoils a concert, and that what you carry is enough."
          problem={errors.sureChance?.message}
        />
        <HundredthsEntry
          control={control}
          name="loadShare"
          of={100}
          label="Load that a frame keeps, %"
          hint="While many strings are changed. The maker’s word comes first."
          problem={errors.loadShare?.message}
        />
        <HundredthsEntry
          control={control}
          name="hourMinor"
          of={1 / 100}
          label="An hour’s work is worth"
          hint="In the house’s money; nothing where time costs nothing."
          problem={errors.hourMinor?.message}
        />
      </fieldset>
      <button type="submit" className="button button-main mt-6" disabled={isSubmitting}>
        Keep these settings
      </button>
    </form>
  )
}

interface HundredthsEntryProps {
  readonly control: Control<WorkshopRequest>
  readonly name: 'sureChance' | 'loadShare' | 'hourMinor'
  /** What is typed over what is kept. */
  readonly of: number
  readonly label: string
  readonly hint: string
  readonly problem: string | undefined
}

/** A number that is typed in other units than it is kept in: hundredths as a whole, or a whole as hundredths. */
function HundredthsEntry({ control, name, of, ...entry }: HundredthsEntryProps) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field: { value, onChange } }) => (
        <Entry
          {...entry}
          type="number"
          step="any"
          value={Number.isFinite(value) ? Number((value * of).toFixed(3)) : ''}
          onChange={(event) => onChange(Number((event.target.valueAsNumber / of).toFixed(6)))}
        />
      )}
    />
  )
}
