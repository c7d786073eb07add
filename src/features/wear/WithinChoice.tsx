'use client'

import { useRouter } from 'next/navigation'
import { pages } from '@/boundary/paths'
import { PERIODS, type Period } from '@/core/wear/period'
import { Selection } from '@/ui/form/Selection'

interface WithinChoiceProps {
  readonly within: Period
  /** Of which instrument, and the string picked there; of the whole shelf where none is named. */
  readonly of?: { readonly slug: string; readonly string: number }
}

/** How far ahead is looked: the page is worked out anew for it. */
export function WithinChoice({ within, of }: WithinChoiceProps) {
  const router = useRouter()
  return (
    <Selection
      label="Within"
      value={within}
      options={PERIODS.map((value) => ({ value, word: value }))}
      choose={(period) =>
        of
          ? router.replace(pages.wearWithin(of.slug, period, of.string))
          : router.replace(pages.wearAhead(period))
      }
    />
  )
}
