'use client'

import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useState, type FormEvent } from 'react'
import { setUpCalls } from '@/boundary/endpoints-set-up'
import { pages } from '@/boundary/paths'
import { CURRENCIES, moneyText } from '@/core/stores/money'
import { supplierName } from '@/core/stores/order-way'
import type { Supplier } from '@/data/buying/suppliers'
import { Choice } from '@/ui/form/Choice'
import { Entry } from '@/ui/form/Entry'
import { textIn } from '@/ui/form/text-in'
import { useAct } from '@/ui/shell/use-act'
import { TermsFields, termsIn } from './TermsFields'

interface SupplierListProps {
  readonly suppliers: readonly Supplier[]
  /** The house's money. */
  readonly currency: string
}

const USUAL = { rate: 1, postageMinor: 0, freeOverMinor: null, leadDays: 7, simulated: false } as const

/** Who sells strings, and on which terms. */
export function SupplierList({ suppliers, currency }: SupplierListProps) {
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[minmax(0,1fr)_22rem]">
      <section className="sheet p-4 md:p-5" aria-labelledby="suppliers">
        <h1 id="suppliers" className="text-2xl font-semibold">
          Suppliers
        </h1>
        {suppliers.length === 0 && (
          <p className="mt-2 max-w-prose">
            Nobody is known yet who sells strings. Add where you buy, then bring its price list in, and the
            cheapest way to buy what you need is worked out for you.
          </p>
        )}
        <ul className="ruled mt-2">
          {suppliers.map(
            ({
              slug,
              name,
              simulated,
              currency: money,
              postageMinor,
              freeOverMinor,
              leadDays,
              retiredAt,
            }) => (
              <li key={slug}>
                <Link
                  href={pages.supplier(slug)}
                  className="flex min-h-11 flex-wrap items-baseline justify-between gap-3 py-3 hover:underline"
                >
                  <span className="text-lg font-semibold">{supplierName({ name, simulated })}</span>
                  <span className="text-sm text-soft">
                    {retiredAt === null
                      ? `here in ${leadDays} days; postage ${moneyText(postageMinor, money)}${freeOverMinor === null ? '' : `, free from ${moneyText(freeOverMinor, money)}`}`
                      : 'nothing more is bought there'}
                  </span>
                </Link>
              </li>
            ),
          )}
        </ul>
      </section>
      <NewSupplier workshopCurrency={currency} isFirst={suppliers.length === 0} />
    </div>
  )
}

function NewSupplier({
  workshopCurrency: workshopCurrency,
  isFirst,
}: {
  readonly workshopCurrency: string
  readonly isFirst: boolean
}) {
  const router = useRouter()
  const { act, refused } = useAct()
  const [currency, setCurrency] = useState(workshopCurrency)
  const problemAt = (field: string) => (refused?.field === field ? refused.sentence : undefined)
  const add = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault()
    const form = new FormData(event.currentTarget)
    const name = textIn(form, 'name')
    const added = await act(setUpCalls.addSupplier, { name, currency, ...termsIn(form) }, `${name} is added.`)
    if (added) router.push(pages.supplier(added.slug))
  }
  return (
    <section className="sheet p-4 md:p-5" aria-labelledby="new-supplier">
      <h2 id="new-supplier" className="text-xl font-semibold">
        Add a supplier
      </h2>
      <form onSubmit={add} noValidate className="mt-3 grid gap-3">
        <Entry label="Name" name="name" problem={problemAt('name')} />
        <Choice
          label="Its money"
          options={CURRENCIES}
          value={currency}
          onChange={(event) => setCurrency(event.target.value)}
          problem={problemAt('currency')}
        />
        <TermsFields
          terms={USUAL}
          currency={currency}
          workshopCurrency={workshopCurrency}
          problemAt={problemAt}
        />
        <button type="submit" className={`button ${isFirst ? 'button-main' : ''}`}>
          Add it
        </button>
        {refused && refused.field === null && (
          <p role="alert" className="font-semibold text-ochre">
            {refused.sentence}
          </p>
        )}
      </form>
    </section>
  )
}
