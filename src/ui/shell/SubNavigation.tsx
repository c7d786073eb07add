'use client'

import type { Route } from 'next'
import Link from 'next/link'
import { usePathname } from 'next/navigation'

/** The sheets within one place. */
export function SubNavigation({
  label,
  sheets,
}: {
  readonly label: string
  readonly sheets: readonly (readonly [href: Route, word: string])[]
}) {
  const path = usePathname()
  return (
    <nav aria-label={label} className="mb-3 flex flex-wrap gap-x-1 print:hidden">
      {sheets.map(([href, word]) => (
        <Link
          key={href}
          href={href}
          aria-current={path === href ? 'page' : undefined}
          className="inline-flex min-h-11 items-center border-b-2 border-transparent px-3 text-sm text-soft hover:text-ink aria-[current=page]:border-verdigris aria-[current=page]:font-semibold aria-[current=page]:text-ink"
        >
          {word}
        </Link>
      ))}
    </nav>
  )
}
