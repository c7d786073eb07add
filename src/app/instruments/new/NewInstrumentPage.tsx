'use client'

import { ImportPanel } from '@/features/chart/ImportPanel'
import { NewInstrumentForm } from '@/features/new-instrument/NewInstrumentForm'

/** A new instrument, with the way in for its maker’s chart put into its form. */
export function NewInstrumentPage() {
  return (
    <NewInstrumentForm
      importChart={(onTake, onClose) => <ImportPanel chart={[]} onTake={onTake} onClose={onClose} />}
    />
  )
}
