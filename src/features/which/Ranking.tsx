'use client'

import Link from 'next/link'
import { pages } from '@/boundary/paths'
import type { Clue } from '@/core/identify/clue'
import type { Ranked } from '@/core/identify/posterior'
import { chartedWords, clueWords } from '@/core/identify/tell'
import { gaugeOf, type Instrument } from '@/core/instrument/instrument'
import { numberName } from '@/core/instrument/names'
import { itemAt } from '@/core/list/item-at'
import { requireValue } from '@/core/list/require-value'
import { measure } from '@/core/measure'
import { materialWord } from '@/core/strings/construction'
import { PhraseText } from '@/ui/figure/PhraseText'
import { measureText } from '@/ui/format/measure'
import { useWorkshop } from '@/ui/units'
import { useLeadingNames } from '@/ui/use-leading-names'

interface RankingProps {
  readonly instrument: Instrument
  readonly ranked: readonly Ranked[]
  readonly clues: readonly Clue[]
}

const MARKS = {
  for: ['✓', 'speaks for it'],
  hardly: ['·', 'says little'],
  against: ['×', 'speaks against it'],
} as const
const LESS = ['·', 'speaks less for it'] as const
/** A clue is told of a later place when it speaks for it by less than this share of what it does for the first. */
const BEHIND = 0.9
const SHOWN = 4

/** The likeliest strings, each with what speaks for and against it. */
export function Ranking({ instrument, ranked, clues }: RankingProps) {
  const leadingNames = useLeadingNames()
  const { units } = useWorkshop()
  const shown = ranked.slice(0, SHOWN).filter(({ chance }, i) => i === 0 || chance >= 0.01)
  return (
    <ol aria-label="Ranking" className="ruled">
      {shown.map(({ position, chance, speaks, shares }, place) => {
        const { name, beside } = leadingNames(position)
        // The first is told in full, the others by where they fall behind it.
        const told = clues
          .map((clue, i) => ({ clue, i }))
          .filter(({ i }) => place === 0 || itemAt(shares, i) < BEHIND * requireValue(ranked[0]?.shares[i]))
        return (
          <li key={position.number} className="py-3">
            <div className="flex flex-wrap items-baseline gap-x-3 gap-y-1">
              <span className={`plate-figure shrink-0 ${place === 0 ? 'text-4xl' : 'text-2xl'} leading-none`}>
                {percent(chance)}
                <span className="ml-1 text-sm text-soft">%</span>
              </span>
              <div className="min-w-48 flex-1">
                <h3 className="text-xl leading-tight font-semibold">{name}</h3>
                <p className="text-sm text-soft">
                  {beside}, {numberName(position)}; {materialWord(position.construction)}{' '}
                  {measureText(measure('gauge', gaugeOf(position)), units)}
                </p>
              </div>
              <Link
                href={pages.instrument(instrument.slug, position.number)}
                className={`button shrink-0 ${place === 0 ? 'button-main' : ''}`}
              >
                It is this one
              </Link>
            </div>
            <ul className="mt-2 text-sm">
              {told.length === 0 && (
                <li className="text-soft">Every clue speaks for it as much as for the first.</li>
              )}
              {told.map(({ clue, i }) => {
                const [mark, word] = place > 0 && speaks[i] === 'for' ? LESS : MARKS[speaks[i] ?? 'hardly']
                return (
                  <li key={i} className={`flex gap-2 ${speaks[i] === 'against' ? 'text-ochre' : ''}`}>
                    <span className="w-4 shrink-0 text-center font-semibold" aria-hidden>
                      {mark}
                    </span>
                    <span>
                      <span className="sr-only">{word}: </span>
                      <PhraseText phrase={clueWords(clue)} />:{' '}
                      <PhraseText phrase={chartedWords(clue, position, instrument)} />
                    </span>
                  </li>
                )
              })}
            </ul>
          </li>
        )
      })}
    </ol>
  )
}

/** Whole percent, and never a certainty that nobody has. */
function percent(chance: number): string {
  const rounded = Math.round(chance * 100)
  return rounded >= 100 ? '>99' : rounded === 0 ? '<1' : String(rounded)
}
