import Link from 'next/link'
import type { ReactNode } from 'react'
import {
  CalendarCheck,
  History,
  Home,
  Lasso,
  Moon,
  Package,
  Rows3,
  Ruler,
  Search,
  ShoppingCart,
  Sun,
} from 'lucide'
import { Calliper } from '../calliper/Calliper'
import { FindBox } from '../find/FindBox'
import { DrawnIcon } from './DrawnIcon'
import { LightSwitch } from './LightSwitch'
import { PlaceLink } from './PlaceLink'
import { pages } from '@/boundary/paths'

const PLACES = [
  { href: pages.today, word: 'Today', icon: CalendarCheck },
  { href: pages.instruments, word: 'Instruments', icon: Rows3 },
  { href: pages.knots, word: 'Knots', icon: Lasso },
  { href: pages.stores, word: 'Stores', icon: Package },
  { href: pages.orders, word: 'Orders', icon: ShoppingCart },
  { href: pages.history, word: 'History', icon: History },
  { href: pages.workshop, word: 'House', icon: Home },
] as const

interface NavigationProps {
  readonly light: 'day' | 'backstage'
  /** A house without stores has no way there. */
  readonly keepsStores: boolean
  /** Who is at the bench. */
  readonly bench: ReactNode
}

/**
 * The places of the workshop: along the top on a wide screen, under the thumb on a phone. All its icons are drawn on the
 * server: no page fetches what draws them.
 */
export function Navigation({ light, keepsStores, bench }: NavigationProps) {
  const places = PLACES.filter(({ href }) => keepsStores || href !== pages.stores)
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
          {places.map(({ href, word, icon }) => (
            <PlaceLink key={href} href={href}>
              <DrawnIcon node={icon} size={18} className="md:max-xl:hidden" /> {word}
            </PlaceLink>
          ))}
        </nav>
        <div className="ml-auto flex md:order-last md:ml-0">
          {bench}
          <Calliper icon={<DrawnIcon node={Ruler} size={18} />} />
          <LightSwitch
            light={light}
            moon={<DrawnIcon node={Moon} size={18} />}
            sun={<DrawnIcon node={Sun} size={18} />}
          />
        </div>
        <FindBox glass={<DrawnIcon node={Search} size={16} />} />
      </div>
    </header>
  )
}
