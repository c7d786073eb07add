import Link from 'next/link'
import { pages } from '@/boundary/paths'
import { moneyText } from '@/core/stores/money'
import type { Supplier } from '@/data/buying/suppliers'

/** Who sells strings, and on which terms. */
export function SupplierList({ suppliers }: { readonly suppliers: readonly Supplier[] }) {
  return (
    <section className="sheet p-4 md:p-5" aria-labelledby="suppliers">
      <h1 id="suppliers" className="text-2xl font-semibold">
        Suppliers
      </h1>
      {suppliers.length === 0 && <p>No supplier is known yet.</p>}
      <ul className="ruled mt-2">
        {suppliers.map(({ slug, name, currency, postageMinor, freeOverMinor, leadDays }) => (
          <li key={slug}>
            <Link
              href={pages.supplier(slug)}
              className="flex min-h-11 flex-wrap items-baseline justify-between gap-3 py-3 hover:underline"
            >
              <span className="text-lg font-semibold">{name}</span>
              <span className="text-sm text-soft">
                here in {leadDays} days; postage {moneyText(postageMinor, currency)}
                {freeOverMinor === null ? '' : `, free from ${moneyText(freeOverMinor, currency)}`}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  )
}
