import Link from 'next/link'
import { pages } from '@/boundary/paths'

const WAYS = [
  [pages.settling, 'All that settles'],
  [pages.wear, 'What will break'],
  [pages.practice, 'Practice'],
] as const

/** Where more of Today is told, and what can be done when nothing is. Made on the server: no page fetches it. */
export function BesideToday() {
  return (
    <p className="flex flex-wrap gap-x-5">
      {WAYS.map(([href, word]) => (
        <Link
          key={href}
          href={href}
          className="inline-flex min-h-11 items-center text-sm font-semibold text-verdigris hover:underline"
        >
          {word}
        </Link>
      ))}
    </p>
  )
}
