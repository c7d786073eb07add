'use client'

import type { Phrase } from '@/core/measure'
import { measureText } from '../format/measure'
import { useWorkshop } from '../units'

/** A sentence with its figures set apart from the words. */
export function PhraseText({ phrase }: { phrase: Phrase }) {
  const { units } = useWorkshop()
  return phrase.map((part, i) =>
    typeof part === 'string' ? (
      part
    ) : (
      <strong key={i} className="plate-figure whitespace-nowrap">
        {measureText(part, units)}
      </strong>
    ),
  )
}
