'use client'

import Link from 'next/link'
import type { ReactNode } from 'react'
import { usePathname } from 'next/navigation'
import { CalendarCheck, History, Home, Lasso, Package, Rows3, ShoppingCart } from 'lucide-react'
import { Calliper } from '../calliper/Calliper'
import { FindBox } from '../find/FindBox'
import { useHouse } from '../units'
import { LightSwitch } from './LightSwitch'
import { pages } from '@/boundary/paths'

const PLACES = [
  { href: pages.today, word: 'Today', Icon: CalendarCheck },
  { href: pages.instruments, word: 'Instruments', Icon: Rows3 },
  { href: pages.knots, word: 'Knots', Icon: Lasso },
  { href: pages.stores, word: 'Stores', Icon: Package },
  { href: pages.orders, word: 'Orders', Icon: ShoppingCart },
  { href: pages.history, word: 'History', Icon: History },
  { href: pages.house, word: 'House', Icon: Home },
] as const

/** The places of the workshop: along the top on a wide screen, under the thumb on a phone. */
interface NavigationProps {
  readonly light: 'day' | 'backstage'
  /** Who is at the bench. */
  readonly bench: ReactNode
}

export function Navigation({ light, bench }: NavigationProps) {
  const path = usePathname()
  const { keepsStores } = useHouse()
  const places = PLACES.filter(({ href }) => keepsStores || href !== pages.stores)
  const isHere = (href: string) => (href === pages.today ? path === pages.today : path.startsWith(href))
  return (
    <header className="border-b border-line bg-paper print:hidden">
      <div className="mx-auto flex max-w-[100rem] flex-wrap items-center gap-x-4 px-4 md:h-14 md:flex-nowrap md:px-6">
        <Link
          href={pages.today}
          className="inline-flex h-14 items-center font-plate text-lg font-semibold tracking-tight whitespace-nowrap"
        >
          Taut Pinset
        </Link>
        <nav
          aria-label="Places"
          className="fixed inset-x-0 bottom-0 z-30 flex border-t border-line bg-paper md:static md:flex-1 md:border-0"
        >
          {places.map(({ href, word, Icon }) => (
            <Link
              key={href}
              href={href}
              aria-current={isHere(href) ? 'page' : undefined}
              className="flex min-h-14 flex-1 flex-col items-center justify-center gap-0.5 border-t-2 border-transparent text-xs text-soft aria-[current=page]:border-verdigris aria-[current=page]:font-semibold aria-[current=page]:text-ink md:h-14 md:flex-none md:flex-row md:gap-2 md:border-t-0 md:border-b-2 md:px-2.5 md:text-sm hover:text-ink"
            >
              <Icon size={18} aria-hidden className="md:max-xl:hidden" /> {word}
            </Link>
          ))}
        </nav>
        <div className="ml-auto flex md:order-last md:ml-0">
          {bench}
          <Calliper />
          <LightSwitch light={light} />
        </div>
        <div
          className={`w-full pb-2 md:w-44 md:pb-0 xl:w-64 ${path.startsWith('/jobs/') ? 'hidden md:block' : ''}`}
        >
          <FindBox />
        </div>
      </div>
    </header>
  )
}
