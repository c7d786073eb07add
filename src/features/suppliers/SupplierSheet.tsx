'use client'

import { Download } from 'lucide-react'
import { useState, type FormEvent } from 'react'
import { setUpCalls } from '@/boundary/endpoints-set-up'
import { files, pages } from '@/boundary/paths'
import { moneyText } from '@/core/stores/money'
import { supplierName } from '@/core/stores/order-way'
import { lengthFigure } from '@/core/units/length'
import { soldText } from '@/core/stores/sold-as'
import { SOLD_CLASSES, type SoldClass } from '@/core/stores/string-spec'
import { CATALOGUE_COLUMNS, type CatalogueCells, type CatalogueColumn } from '@/core/stores/catalogue-cells'
import type { CatalogueMapping } from '@/data/buying/catalogue/catalogue-file'
import { FILE_UNITS } from '@/core/units/file-unit'
import type { StoredItem, Supplier } from '@/data/buying/suppliers'
import { NewPart } from './NewPart'
import { TermsFields, termsIn } from './TermsFields'
import { TableImport } from '@/ui/import/TableImport'
import { startImport } from '@/workers/imports'
import { BackLink } from '@/ui/shell/BackLink'
import { useAct } from '@/ui/shell/use-act'
import { useWorkshop } from '@/ui/units'

const WORDS: Record<CatalogueColumn, string> = {
  part: 'Part number',
  name: 'Name',
  material: 'Material',
  gauge: 'Gauge',
  core: 'Core',
  bedding: 'Bedding',
  wrap: 'Wrap',
  colour: 'Colour',
  class: 'Tension class',
  end: 'End',
  maker: 'Maker',
  line: 'Line',
  sold: 'Sold as',
  length: 'Length',
  pieces: 'Pieces in a pack',
  price: 'Price',
  stock: 'Packs in stock',
  contents: 'Set of',
}
const SHOWN = 60

interface SupplierSheetProps {
  readonly supplier: Supplier
  readonly items: readonly StoredItem[]
  readonly currency: string
}

/** A supplier: its terms, and its catalogue out of any CSV. */
export function SupplierSheet({ supplier, items, currency }: SupplierSheetProps) {
  const { unit } = useWorkshop()
  const [isImporting, setIsImporting] = useState(false)
  const [looked, setLooked] = useState('')
  const { act, refused } = useAct()
  const change = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault()
    const form = new FormData(event.currentTarget)
    void act(setUpCalls.changeTerms(supplier.slug), termsIn(form), 'The terms are kept.')
  }
  const take = async (rows: readonly CatalogueCells[], { units }: CatalogueMapping) => {
    const taken = await act(
      setUpCalls.replaceCatalogue(supplier.slug),
      { rows, units },
      'The catalogue is taken over.',
    )
    if (taken) setIsImporting(false)
  }
  const found = items.filter((item) =>
    `${item.part} ${item.name} ${item.maker} ${item.line} ${item.tensionClass}`
      .toLowerCase()
      .includes(looked.trim().toLowerCase()),
  )
  const fieldProblem = (field: string) => (refused?.field === field ? refused.sentence : undefined)

  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[minmax(0,1fr)_22rem]">
      <div className="grid grid-cols-[minmax(0,1fr)] gap-4">
        {isImporting && (
          <TableImport<CatalogueColumn, CatalogueMapping, CatalogueCells>
            title={`A catalogue of ${supplier.name}`}
            lead="A CSV or spreadsheet with any column names and units. It replaces the old catalogue. Orders keep the lines they were made from."
            columns={CATALOGUE_COLUMNS}
            words={WORDS}
            units={FILE_UNITS}
            start={() => startImport('catalogue', null)}
            more={(mapping, changeMapping) => (
              <label className="grid gap-1 text-sm">
                Tension class where a row gives none
                <select
                  className="entry min-h-10 py-1"
                  value={mapping.classForAll}
                  onChange={(event) =>
                    changeMapping({ ...mapping, classForAll: event.target.value as SoldClass })
                  }
                >
                  {SOLD_CLASSES.map((one) => (
                    <option key={one}>{one}</option>
                  ))}
                </select>
              </label>
            )}
            remainder={({ taken }, rows) =>
              taken.length === rows
                ? 'Every row can be read.'
                : `${rows - taken.length} can’t be taken as they are; they are told above.`
            }
            onTake={take}
            onClose={() => setIsImporting(false)}
          />
        )}
        <section className="sheet p-4 md:p-5" aria-labelledby="catalogue">
          <BackLink to={pages.suppliers}>Suppliers</BackLink>
          <header className="flex flex-wrap items-end justify-between gap-3">
            <div>
              <h1 className="text-2xl font-semibold">{supplierName(supplier)}</h1>
              <p className="text-soft" id="catalogue">
                A catalogue of {items.length === 1 ? 'one part' : `${items.length} parts`}
              </p>
            </div>
            <div className="flex flex-wrap items-end gap-2">
              <label className="flex flex-col gap-1 text-sm">
                Look for
                <input
                  className="entry w-40"
                  value={looked}
                  onChange={(event) => setLooked(event.target.value)}
                />
              </label>
              <NewPart slug={supplier.slug} currency={supplier.currency} />
              <button type="button" className="button" onClick={() => setIsImporting(true)}>
                Import CSV
              </button>
              <a className="button" href={files.catalogue(supplier.slug)} download>
                <Download size={16} aria-hidden /> CSV
              </a>
            </div>
          </header>
          {refused && !['rate', 'postage', 'freeOver', 'leadDays'].includes(refused.field ?? '') && (
            <p role="alert" className="mt-2 font-semibold text-ochre">
              {refused.sentence}
            </p>
          )}
          <div
            className="mt-3 overflow-x-auto"
            tabIndex={0}
            role="group"
            aria-label="The catalogue, to be scrolled sideways"
          >
            <table className="w-full min-w-[40rem] text-sm" aria-label="Catalogue">
              <thead>
                <tr className="border-b border-ink text-left text-xs text-soft">
                  <th scope="col" className="font-normal">
                    Part
                  </th>
                  <th scope="col" className="font-normal">
                    String
                  </th>
                  <th scope="col" className="font-normal">
                    Class, end
                  </th>
                  <th scope="col" className="text-right font-normal">
                    Sold as
                  </th>
                  <th scope="col" className="text-right font-normal">
                    Price
                  </th>
                  <th scope="col" className="text-right font-normal">
                    In stock
                  </th>
                </tr>
              </thead>
              <tbody>
                {found.slice(0, SHOWN).map((item) => (
                  <tr key={item.id} className="border-b border-rule">
                    <td className="py-1.5 pr-2 font-semibold">{item.part}</td>
                    <td className="pr-2">
                      {item.name}
                      <span className="block text-soft">
                        {item.setOf
                          ? item.setOf
                              .map(({ part, count }) => (count === 1 ? part : `${part} ×${count}`))
                              .join(', ')
                          : `${item.maker} ${item.line}`}
                      </span>
                    </td>
                    <td className="pr-2">
                      {item.tensionClass === 'not given' ? 'no class given' : item.tensionClass}, {item.end}
                    </td>
                    <td className="pr-2 text-right whitespace-nowrap">
                      {item.setOf
                        ? 'a set'
                        : soldText(
                            item,
                            `${lengthFigure(item.length, { unit, digits: unit === 'mm' ? 0 : 1 })} ${unit}`,
                          )}
                    </td>
                    <td className="pr-2 text-right whitespace-nowrap">
                      {moneyText(item.priceMinor, supplier.currency)}
                    </td>
                    <td className={`text-right ${item.stock === 0 ? 'text-ochre' : ''}`}>
                      {item.stock === 0 ? 'none' : (item.stock ?? 'not said')}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
            {found.length > SHOWN && (
              <p className="mt-1 text-xs text-soft">
                and {found.length - SHOWN} more; look for what you want
              </p>
            )}
          </div>
        </section>
      </div>
      <section className="sheet p-4 md:p-5" aria-labelledby="terms">
        <h2 id="terms" className="text-xl font-semibold">
          Terms
        </h2>
        <form onSubmit={change} noValidate className="mt-3 grid gap-3">
          <TermsFields
            terms={supplier}
            currency={supplier.currency}
            workshopCurrency={currency}
            problemAt={fieldProblem}
          />
          <button type="submit" className="button button-main">
            Keep the terms
          </button>
        </form>
        <button
          type="button"
          className="button mt-3 w-full"
          onClick={() =>
            act(
              setUpCalls.retireSupplier(supplier.slug),
              { retired: supplier.retiredAt === null },
              supplier.retiredAt === null
                ? `Nothing more is bought at ${supplier.name}.`
                : `${supplier.name} is bought at again.`,
            )
          }
        >
          {supplier.retiredAt === null ? 'Buy nothing more there' : 'Buy there again'}
        </button>
      </section>
    </div>
  )
}
