import type { Supplier } from '@/data/buying/suppliers'
import { Entry } from '@/ui/form/Entry'
import { textIn } from '@/ui/form/text-in'

interface TermsFieldsProps {
  readonly terms: Pick<Supplier, 'rate' | 'postageMinor' | 'freeOverMinor' | 'leadDays' | 'simulated'>
  /** The supplier's money, and the house's. */
  readonly currency: string
  readonly workshopCurrency: string
  readonly problemAt: (field: string) => string | undefined
}

/** The fields of a supplier's terms. */
export function TermsFields({
  terms,
  currency,
  workshopCurrency: workshopCurrency,
  problemAt,
}: TermsFieldsProps) {
  return (
    <>
      {currency === workshopCurrency ? (
        <input type="hidden" name="rate" value="1" />
      ) : (
        <Entry
          label={`One ${currency} in ${workshopCurrency}`}
          name="rate"
          inputMode="decimal"
          defaultValue={terms.rate}
          problem={problemAt('rate')}
          hint="The rate that the plan reckons with."
        />
      )}
      <Entry
        label={`Postage, ${currency}`}
        name="postage"
        inputMode="decimal"
        defaultValue={(terms.postageMinor / 100).toFixed(2)}
        problem={problemAt('postage')}
      />
      <Entry
        label={`Free from, ${currency}`}
        name="freeOver"
        inputMode="decimal"
        defaultValue={terms.freeOverMinor === null ? '' : (terms.freeOverMinor / 100).toFixed(2)}
        hint="Leave it empty where postage is never free."
        problem={problemAt('freeOver')}
      />
      <Entry
        label="Days until it is here"
        name="leadDays"
        inputMode="numeric"
        defaultValue={terms.leadDays}
        problem={problemAt('leadDays')}
      />
      <label className="flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          name="simulated"
          className="size-5 shrink-0 accent-verdigris"
          defaultChecked={terms.simulated}
        />
        Simulated: it answers by itself, for trying out
      </label>
    </>
  )
}

/** What was typed into {@link TermsFields}. */
export function termsIn(form: FormData) {
  return {
    rate: Number(textIn(form, 'rate').replace(',', '.')),
    postage: textIn(form, 'postage'),
    freeOver: textIn(form, 'freeOver'),
    leadDays: Number(textIn(form, 'leadDays')),
    simulated: form.get('simulated') !== null,
  }
}
