'use client'

import { useState, type FormEvent } from 'react'
import { setUpCalls } from '@/boundary/endpoints-set-up'
import { STRING_COLOURS } from '@/core/instrument/instrument'
import { CATALOGUE_COLUMNS, type CatalogueCells } from '@/core/stores/catalogue-cells'
import { STRING_ENDS } from '@/core/knots/string-ends'
import { SOLD_AS, type SoldAs } from '@/core/stores/sold-as'
import { SOLD_CLASSES } from '@/core/stores/string-spec'
import { Choice } from '@/ui/form/Choice'
import { Entry } from '@/ui/form/Entry'
import { textIn } from '@/ui/form/text-in'
import { useAct } from '@/ui/shell/use-act'
import { useWorkshop } from '@/ui/units'

const LENGTH_WORDS: Readonly<Record<SoldAs, string>> = {
  'one string': 'Length',
  packet: 'Length of each',
  reel: 'Length on the reel',
}
/** What a price list says least often comes first here: nothing is supposed. */
const CLASSES = ['not given', ...SOLD_CLASSES.filter((one) => one !== 'not given')]

/** One part of a supplier's, typed in where there is no price list to import. */
export function NewPart({ slug, currency }: { readonly slug: string; readonly currency: string }) {
  const { unit, gaugeUnit } = useWorkshop()
  const { act, refused } = useAct()
  const [isOpen, setIsOpen] = useState(false)
  const [material, setMaterial] = useState('nylon 6.12')
  const [soldAs, setSoldAs] = useState<SoldAs>('one string')
  const isWound = / on /.test(material)
  if (!isOpen)
    return (
      <button type="button" className="button" onClick={() => setIsOpen(true)}>
        Add a part
      </button>
    )
  const problemAt = (field: string) =>
    refused?.field?.split('.').at(-1) === field ? refused.sentence : undefined
  const add = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault()
    const element = event.currentTarget
    const form = new FormData(element)
    const row = Object.fromEntries(
      CATALOGUE_COLUMNS.map((column) => [column, textIn(form, column)]),
    ) as unknown as CatalogueCells
    const added = await act(
      setUpCalls.addCatalogueLine(slug),
      {
        row: { ...row, name: row.name || `${row.material} ${row.gauge}` },
        units: { gauge: gaugeUnit, core: gaugeUnit, bedding: gaugeUnit, wrap: gaugeUnit, length: unit },
      },
      `${row.part} is in the catalogue.`,
    )
    if (added) element.reset()
  }
  const bind = (name: string) => ({ name, problem: problemAt(name) })
  return (
    <form
      onSubmit={add}
      noValidate
      className="mt-3 grid w-full grid-cols-2 gap-3 border-t border-ink pt-3 md:grid-cols-4"
      aria-label="A part"
    >
      <Entry label="Part number" {...bind('part')} />
      <Entry label="What it is called" placeholder="as its material and gauge" {...bind('name')} />
      <Entry
        label="Material"
        hint="gut, nylon 6.12, or a winding such as “copper on nylon 6.12”"
        value={material}
        onChange={(event) => setMaterial(event.target.value)}
        {...bind('material')}
      />
      {isWound ? (
        <>
          <Entry label="Core" {...bind('core')} />
          <Entry label="Bedding, if any" {...bind('bedding')} />
          <Entry label="Wrap" {...bind('wrap')} />
        </>
      ) : (
        <Entry label="Gauge" {...bind('gauge')} />
      )}
      <Choice
        label="Sold as"
        options={SOLD_AS}
        value={soldAs}
        onChange={(event) => setSoldAs(event.target.value as SoldAs)}
        {...bind('sold')}
      />
      {soldAs === 'packet' && (
        <Entry label="Strings in a packet" inputMode="numeric" defaultValue="2" {...bind('pieces')} />
      )}
      <Entry label={LENGTH_WORDS[soldAs]} {...bind('length')} />
      <Entry label={`Price, ${currency}`} inputMode="decimal" {...bind('price')} />
      <Entry label="In stock" inputMode="numeric" placeholder="not said" {...bind('stock')} />
      <Choice label="Tension class" options={CLASSES} {...bind('class')} />
      <Choice label="End" options={STRING_ENDS} {...bind('end')} />
      <Choice label="Colour" options={STRING_COLOURS} {...bind('colour')} />
      <div className="col-span-2 flex items-end gap-2 md:col-span-4">
        <button type="submit" className="button button-main">
          Add it
        </button>
        <button type="button" className="button" onClick={() => setIsOpen(false)}>
          Done
        </button>
      </div>
      {refused && refused.field === null && (
        <p role="alert" className="col-span-2 font-semibold text-ochre md:col-span-4">
          {refused.sentence}
        </p>
      )}
    </form>
  )
}
