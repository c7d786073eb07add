'use client'

import { useMemo } from 'react'
import { pages } from '@/boundary/paths'
import type { KitForDate } from '@/data/views/before-date'
import { momentText } from '@/ui/format/time'
import { BackLink } from '@/ui/shell/BackLink'
import { PrintButton } from '@/ui/shell/PrintButton'
import { useWorkshop } from '@/ui/units'
import { KitList, type Carried } from './KitList'

/** One kit for all instruments of a date: a cut that fits several of them is carried once. */
export function KitSheet({ kit: { date, instruments, strings, ...kit } }: { readonly kit: KitForDate }) {
  const { timeZone } = useWorkshop()
  const mayCarry = useMemo(() => strings.map((one): Carried => ({ ...one, isNew: false })), [strings])
  const who = instruments.map(({ name }) => name).join(', ')
  return (
    <section
      className="sheet max-w-3xl p-4 md:p-5 print:border-0 print:p-0 print:shadow-none"
      aria-label="What to carry"
    >
      <BackLink to={pages.beforeDate(date.id)}>What to change before {date.name}</BackLink>
      <header className="flex flex-wrap items-end justify-between gap-3">
        <div>
          <h1 className="text-2xl font-semibold">The kit for {date.name}</h1>
          <p className="text-soft">
            {momentText(date.at, timeZone)}. For {who}, as they are strung now.
          </p>
        </div>
        <PrintButton isMain={false} />
      </header>
      <KitList strings={mayCarry} who="these instruments" {...kit} />
    </section>
  )
}
