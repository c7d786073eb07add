'use client'

import { HARDWARE_NAMES, isInWords, type HardwareColumn } from '@/core/hardware/columns'
import type { ReactNode } from 'react'
import { Labelled } from '@/ui/form/Labelled'
import { listOf } from './HardwareTable'
import { commonCell, rangeOf, type HardwareSection } from './use-hardware-draft'

interface SectionFormProps {
  readonly section: HardwareSection
  readonly columns: readonly HardwareColumn[]
  readonly onSet: (numbers: readonly number[], column: HardwareColumn, text: string) => void
  readonly onLook: (column: HardwareColumn) => void
  /** Told under the field that is in the hand. */
  readonly looked: HardwareColumn | null
  readonly about: ReactNode
  readonly isAssumed: (column: HardwareColumn) => boolean
}

/** One section on a phone: a field under the other, and under the one in the hand what it is. */
export function SectionForm({ section, columns, onSet, onLook, looked, about, isAssumed }: SectionFormProps) {
  const numbers = section.rows.map(({ number }) => number)
  return (
    <div className="grid gap-4">
      {columns.map((column) => {
        const common = commonCell(section.rows, column)
        return (
          <div key={column}>
            <Labelled
              label={HARDWARE_NAMES[column]}
              hint={isAssumed(column) ? 'assumed' : undefined}
              problem={section.rows.find((row) => row.problems[column])?.problems[column]}
            >
              {(wiring) => (
                <input
                  {...wiring}
                  className="entry mt-1"
                  value={common ?? ''}
                  placeholder={common === null ? rangeOf(section.rows, column) : undefined}
                  list={listOf(column)}
                  inputMode={isInWords(column) ? undefined : 'decimal'}
                  autoComplete="off"
                  onFocus={() => onLook(column)}
                  onChange={(event) => onSet(numbers, column, event.target.value)}
                />
              )}
            </Labelled>
            {looked === column && <div className="mt-2 border-l-4 border-rule pl-3">{about}</div>}
          </div>
        )
      })}
    </div>
  )
}
