import { ArrowLeft } from 'lucide-react'
import type { Route } from 'next'
import Link from 'next/link'
import type { ReactNode } from 'react'

interface BackLinkProps<Address extends string> {
  readonly to: Route<Address>
  readonly children: ReactNode
}

/** Above the title of a sheet: the way back to what it belongs to. Not printed. */
export function BackLink<Address extends string>({ to, children }: BackLinkProps<Address>) {
  return (
    <Link
      href={to}
      className="inline-flex min-h-8 items-center gap-1 text-sm text-soft hover:text-ink print:hidden"
    >
      <ArrowLeft size={15} aria-hidden /> {children}
    </Link>
  )
}
