'use client'

import { useState } from 'react'
import { positionAt } from '@/core/instrument/instrument'
import type { Own } from '@/core/practice/drill'
import type { Choice } from '@/core/practice/choice'
import { typedName } from '@/core/practice/typed-name'

interface TypedNameProps {
  readonly own: Own
  /** Of the string that broke. */
  readonly number: number
  readonly onName: (name: Choice) => void
}

/** A name typed as one would order it, in place of those that can be chosen. */
export function TypedName({ own, number, onName }: TypedNameProps) {
  const [text, setText] = useState('')
  const [sentence, setSentence] = useState<string | null>(null)
  const order = () => {
    const { instrument, habits } = own
    try {
      const name = typedName(instrument, positionAt(instrument, number), habits.octaveNames, text)
      if (name) onName(name)
      else setSentence(`${instrument.name} has no string of that name.`)
    } catch (error) {
      if (!(error instanceof RangeError)) throw error
      setSentence(error.message)
    }
  }
  return (
    <form
      className="mt-3 flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault()
        if (text.trim() !== '') order()
      }}
    >
      <label className="flex-1 text-sm">
        Or type it as you would order it
        <input
          className="entry mt-1"
          value={text}
          maxLength={80}
          autoComplete="off"
          onChange={(event) => {
            setText(event.target.value)
            setSentence(null)
          }}
        />
      </label>
      <button type="submit" className="button min-h-12">
        Order it
      </button>
      {sentence && (
        <p role="alert" className="w-full text-ochre">
          {sentence}
        </p>
      )}
    </form>
  )
}
