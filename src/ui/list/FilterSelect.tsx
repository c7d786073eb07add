import type { ReactNode } from 'react'

interface FilterSelectProps {
  readonly label: string
  readonly value: string
  readonly choose: (value: string) => void
  /** Of the field, which fills its cell on a phone. */
  readonly width: string
  /** The choices, the one that narrows nothing first. */
  readonly children: ReactNode
}

/** One choice that a list is narrowed by. */
export function FilterSelect({ label, value, choose, width, children }: FilterSelectProps) {
  return (
    <label className="flex flex-col gap-1">
      {label}
      <select className={`entry ${width}`} value={value} onChange={(event) => choose(event.target.value)}>
        {children}
      </select>
    </label>
  )
}

/** An instrument, or all of them. */
export function InstrumentOptions({
  instruments,
  told = (name) => name,
}: {
  readonly instruments: readonly { readonly slug: string; readonly name: string }[]
  readonly told?: (name: string) => string
}) {
  return instruments.map(({ slug, name }) => (
    <option key={slug} value={slug}>
      {told(name)}
    </option>
  ))
}
