'use client'

import { useId } from 'react'
import { endpoints } from '@/boundary/endpoints'
import { files } from '@/boundary/paths'
import { requireValue } from '@/core/list/require-value'
import type { KeptTemperament } from '@/data/workshop/temperaments'
import { useAct } from '@/ui/shell/use-act'

interface TemperamentFilesProps {
  readonly temperaments: readonly KeptTemperament[]
  readonly chosen: { readonly name: string }
}

/** Temperaments in and out as Scala files. */
export function TemperamentFiles({ temperaments, chosen }: TemperamentFilesProps) {
  const { act, refused } = useAct()
  const id = useId()
  const own = temperaments.find(({ name, id: kept }) => name === chosen.name && kept !== null)
  return (
    <section className="sheet p-4" aria-label="Temperaments as files">
      <h2 className="font-semibold">Temperaments as files</h2>
      <p className="text-sm text-soft">A Scala file (.scl) of twelve notes, the first of them C.</p>
      <label htmlFor={id} className="mt-2 block text-sm">
        Take one in
        <input
          id={id}
          type="file"
          accept=".scl,text/plain"
          className="mt-1 block w-full text-sm"
          onChange={(event) => {
            const input = event.target
            const [file] = input.files ?? []
            if (!file) return
            void file
              .text()
              .then((text) =>
                act(endpoints.takeTemperament, { text }, 'The temperament is taken in: choose it above.'),
              )
              .finally(() => {
                input.value = ''
              })
          }}
        />
      </label>
      {refused && (
        <p role="alert" className="mt-2 text-sm font-semibold text-ochre">
          {refused.sentence}
        </p>
      )}
      <p className="mt-2 flex flex-wrap gap-3">
        <a className="button" href={files.temperament(chosen.name)} download>
          Save this one
        </a>
        {own && (
          <button
            type="button"
            className="button"
            onClick={() =>
              void act(endpoints.dropTemperament(requireValue(own.id)), {}, `${own.name} is taken away.`)
            }
          >
            Take it away
          </button>
        )}
      </p>
    </section>
  )
}
