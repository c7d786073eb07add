interface SelectionProps<Value extends string | number> {
  readonly label: string
  readonly value: Value
  readonly options: readonly { readonly value: Value; readonly word: string }[]
  readonly choose: (value: Value) => void
}

/** One of some things, chosen at once: what is shown follows. */
export function Selection<Value extends string | number>({
  label,
  value,
  options,
  choose,
}: SelectionProps<Value>) {
  return (
    <label className="text-sm">
      {label}
      <select
        className="entry mt-1"
        value={value}
        onChange={(event) => {
          const chosen = options[event.target.selectedIndex]
          if (chosen) choose(chosen.value)
        }}
      >
        {options.map((one) => (
          <option key={one.value} value={one.value}>
            {one.word}
          </option>
        ))}
      </select>
    </label>
  )
}
