'use client'

import Link from 'next/link'
import { pages } from '@/boundary/paths'
import { drillFacts } from '@/core/practice/drill'
import { DAY } from '@/core/units/time'
import type { Offered } from '@/data/practice/offered'
import { monthText } from '@/ui/format/month'
import { distanceText } from '@/ui/format/time'
import { useWorkshop } from '@/ui/units'

/** Longer ago than this, a month says it better than a number of days. */
const MONTHS_FROM = 45 * DAY

/** Before a job: the one thing that it asks for and that was longest ago, for two minutes. */
export function OfferedBefore({ offered, now }: { offered: Offered; now: number }) {
  const { timeZone } = useWorkshop()
  const { card, slug, last } = offered
  const isKnot = card.drill === 'tie'
  const when =
    last === null
      ? null
      : now - last > MONTHS_FROM
        ? `in ${monthText(last, now, timeZone)}`
        : distanceText(last, now)
  return (
    <p className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-2 border-l-4 border-verdigris bg-verdigris-wash px-3 py-2 print:hidden">
      <span className="min-w-56 flex-1">
        {when === null
          ? `You have not ${isKnot ? `tied “${tied(card.about)}”` : `done “${drillFacts(card.drill).title}”`} here yet`
          : `You last ${isKnot ? `tied “${tied(card.about)}”` : `practised “${drillFacts(card.drill).title}”`} ${when}`}
        : two minutes?
      </span>
      <Link className="button" href={pages.drill(card.drill, slug, card.id)}>
        Practise it
      </Link>
    </p>
  )
}

/** The knot’s name, without what is asked of it. */
const tied = (about: string) => about.split(', ').slice(0, -1).join(', ')
