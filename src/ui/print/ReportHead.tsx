'use client'

import type { ReactNode } from 'react'
import { useWorkshop } from '@/ui/units'

interface ReportHeadProps {
  readonly title: string
  readonly maker: string
  readonly model: string
  readonly owner: string
  /** The workshop’s, a line each. */
  readonly address: string
  /** The date, with its year. */
  readonly date: string
  /** What is no part of the paper: buttons. */
  readonly children?: ReactNode
}

/** The head of a paper for an instrument's owner: who it is from, who it is for, what it is about. */
export function ReportHead({ title, maker, model, owner, address, date, children }: ReportHeadProps) {
  const { name } = useWorkshop()
  const make = [maker, model].filter((text) => text.trim() !== '').join(', ')
  return (
    <header className="border-b border-ink pb-2">
      <div className="flex items-start justify-between gap-4">
        <address className="text-sm whitespace-pre-line not-italic">
          <strong className="text-base">{name}</strong>
          {address.trim() !== '' && `\n${address.trim()}`}
        </address>
        <div className="flex flex-wrap justify-end gap-2 print:hidden">{children}</div>
      </div>
      {owner.trim() !== '' && (
        <p className="mt-5 whitespace-pre-line">
          <span className="text-sm text-soft">For</span>
          {`\n${owner
            .trim()
            .split(/\s*[,;]\s*/)
            .join('\n')}`}
        </p>
      )}
      <div className="mt-5 flex items-end justify-between gap-4">
        <div>
          <h1 className="text-2xl font-semibold">{title}</h1>
          {make !== '' && <p className="text-soft">{make}</p>}
        </div>
        <p className="text-sm whitespace-nowrap text-soft">{date}</p>
      </div>
    </header>
  )
}
