interface DecimalProps {
  readonly label: string
  readonly value: string
  readonly onChange: (text: string) => void
}

/** A number to be typed, under its name. */
export function Decimal({ label, value, onChange }: DecimalProps) {
  return (
    <label className="text-sm">
      {label}
      <input
        className="entry mt-1 block w-28"
        inputMode="decimal"
        autoComplete="off"
        value={value}
        onChange={(event) => onChange(event.target.value)}
      />
    </label>
  )
}
