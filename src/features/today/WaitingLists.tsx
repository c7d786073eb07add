import type { Route } from 'next'
import Link from 'next/link'
import type { ReactNode } from 'react'
import { pages } from '@/boundary/paths'
import type { Shown, TodayView } from '@/data/views/today'
import { More } from './More'

/** What was put off and what is ordered, with what to do next. Made on the server: no page fetches it. */
export function WaitingLists({ left, orders }: Pick<TodayView, 'left' | 'orders'>) {
  return (
    <>
      <Waiting id="left" title="Left for later" of={left} what="fittings">
        {left.shown.map(({ jobId, name, steps }) => (
          <Line key={jobId} href={pages.jobSheet(jobId, 'done')} name={name} next={steps} />
        ))}
      </Waiting>
      <Waiting id="coming" title="Coming" of={orders} what="orders">
        {orders.shown.map(({ id, supplier, next }) => (
          <Line key={id} href={pages.order(id)} name={`Order ${id}, ${supplier}`} next={next} />
        ))}
      </Waiting>
    </>
  )
}

interface WaitingProps {
  readonly id: string
  readonly title: string
  readonly of: Shown<unknown>
  readonly what: string
  readonly children: ReactNode
}

function Waiting({ id, title, of, what, children }: WaitingProps) {
  if (of.all === 0) return null
  return (
    <section className="sheet order-3 p-5" aria-labelledby={id}>
      <h2 id={id} className="text-xl font-semibold">
        {title}
      </h2>
      <ul className="ruled">{children}</ul>
      <More of={of} what={what} />
    </section>
  )
}

interface LineProps<Address extends string> {
  readonly href: Route<Address>
  readonly name: string
  readonly next: string
}

function Line<Address extends string>({ href, name, next }: LineProps<Address>) {
  return (
    <li>
      <Link href={href} className="block min-h-11 py-2 hover:underline">
        <span className="block font-semibold">{name}</span>
        <span className="block text-sm text-soft">{next}</span>
      </Link>
    </li>
  )
}
