'use client'

import type { Route } from 'next'
import Link from 'next/link'
import { usePathname } from 'next/navigation'
import type { ReactNode } from 'react'
import { pages } from '@/boundary/paths'

/** The way to a place of the workshop, marked where one is there. */
export function PlaceLink({ href, children }: { readonly href: Route; readonly children: ReactNode }) {
  const path = usePathname()
  const isHere = href === pages.today ? path === href : path.startsWith(href)
  return (
    <Link
      href={href}
      aria-current={isHere ? 'page' : undefined}
      className="flex min-h-14 flex-1 flex-col items-center justify-center gap-0.5 border-t-2 border-transparent text-xs text-soft aria-[current=page]:border-verdigris aria-[current=page]:font-semibold aria-[current=page]:text-ink md:h-14 md:flex-none md:flex-row md:gap-2 md:border-t-0 md:border-b-2 md:px-2.5 md:text-sm hover:text-ink"
    >
      {children}
    </Link>
  )
}
