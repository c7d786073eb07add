'use client'

import { useState } from 'react'
import type { Specimen } from '@/core/practice/question'
import { SpecimenDrawing } from '@/drawings/SpecimenDrawing'

/** A piece of string that can be bent and felt, as at the bench. */
export function ShownSpecimen({ specimen, isTold }: { specimen: Specimen; isTold: boolean }) {
  const [isBent, setBent] = useState(false)
  const [isFelt, setFelt] = useState(false)
  return (
    <figure>
      <SpecimenDrawing
        specimen={specimen}
        isBent={isBent || isTold}
        className="mx-auto max-h-[36vh] w-full md:max-h-96"
      />
      <figcaption className="mt-2">
        <p className="flex flex-wrap gap-2">
          <button type="button" className="button" disabled={isBent || isTold} onClick={() => setBent(true)}>
            Bend it and let go
          </button>
          <button type="button" className="button" disabled={isFelt || isTold} onClick={() => setFelt(true)}>
            Draw a nail along it
          </button>
        </p>
        <p aria-live="polite" className="mt-2 min-h-12">
          {(isBent || isTold) && <>Bent and let go, it {specimen.bend}. </>}
          {(isFelt || isTold) && <>Under the nail it {FELT[specimen.nail]}.</>}
        </p>
      </figcaption>
    </figure>
  )
}

const FELT: Readonly<Record<Specimen['nail'], string>> = {
  slick: 'is slick',
  'faintly rough': 'is faintly rough, and dry',
  rasps: 'rasps',
  hard: 'is hard, and cold',
}
