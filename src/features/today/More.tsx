import Link from 'next/link'
import { pages } from '@/boundary/paths'
import type { Shown } from '@/data/views/today'

/** Leads to the whole list where only its first lines are shown. */
export function More({ of: { shown, all }, what }: { readonly of: Shown<unknown>; readonly what: string }) {
  if (shown.length >= all) return null
  return (
    <Link
      href={pages.allOfToday}
      prefetch={false}
      className="inline-flex min-h-11 items-center text-sm font-semibold text-verdigris hover:underline"
    >
      Show all {all} {what}
    </Link>
  )
}
