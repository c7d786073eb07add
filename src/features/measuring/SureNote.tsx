'use client'

import Link from 'next/link'
import { pages } from '@/boundary/paths'
import { measure, say } from '@/core/measure'
import type { Sureness } from '@/core/measuring/worth'
import { PhraseText } from '@/ui/figure/PhraseText'

interface SureNoteProps {
  readonly slug: string
  readonly name: string
  readonly sure: Sureness
}

/** How sure a string's figures are, where its instrument is assumed to be like others of its family. */
export function SureNote({ slug, name, sure: { cut, slack, margin } }: SureNoteProps) {
  return (
    <p className="mt-3 border-l-4 border-ochre bg-ochre-wash px-3 py-2 text-sm">
      <PhraseText
        phrase={say`${name} is assumed to be like others of its family: the cut is sure to ± ${measure('length', cut)}, the slack to ± ${measure('length', slack)}, breaking to ± ${measure('semitones', margin)}.`}
      />{' '}
      <Link
        href={pages.instrumentSheet(slug, 'measuring')}
        className="font-semibold underline underline-offset-4"
      >
        What to measure
      </Link>
    </p>
  )
}
