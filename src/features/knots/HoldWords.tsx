'use client'

import { memo } from 'react'
import { areMirrorImages, holdOfTailEnd, type Hold } from '@/core/knots/tails/hold'
import { tailEndOf } from '@/core/knots/tails/tail-ends'
import { codeText } from '@/core/knots/topology/gauss-code'
import { linkingNumber } from '@/core/knots/topology/linking'
import type { Tying } from '@/core/knots/tying'

/** What the fastening is, proven from its curve: which knot, what holds it, and its code. */
export const HoldWords = memo(function HoldWords({ tying }: { tying: Tying }) {
  const { tailEnd } = tying
  if (!tailEnd) {
    const { curve, cord } = tying.stateAt(tying.stages.length)
    return cord ? (
      <Proof
        says={`Cord and string are two pieces, linked ${TIMES[Math.abs(linkingNumber(curve, cord))] ?? 'more than twice'}: neither can be drawn off the other while both are held.`}
      />
    ) : null
  }
  // A ready-made loop, a wire round its posts or a wrapped foot is not tied.
  if (tailEnd.drawnTo === null) return null
  const hold = holdOfTailEnd(tailEnd)
  const twin = TWINS[tailEnd.fastening]
  const mirror =
    twin && areMirrorImages(tailEnd, tailEndOf(twin))
      ? ` It is ${twin} in a mirror held flat against the board’s face: as strong, and tied with every crossing the other way.`
      : ''
  return (
    <Proof
      says={`${holdWords(hold)}${mirror}`}
      code={`${hold.crossings} crossings, winding ${hold.writhe > 0 ? '+' : ''}${hold.writhe}: ${codeText(hold.code)}`}
    />
  )
})

const TWINS: Readonly<Partial<Record<string, 'two-loop, crossed' | 'two-loop, crossed, behind'>>> = {
  'two-loop, crossed': 'two-loop, crossed, behind',
  'two-loop, crossed, behind': 'two-loop, crossed',
}
const TIMES = ['not at all', 'once', 'twice'] as const

function Proof({ says, code }: { says: string; code?: string }) {
  return (
    <section aria-label="What it is" className="mt-6 border-t border-rule pt-3 text-sm print:hidden">
      <p>{says}</p>
      {code && <p className="mt-1 text-soft [overflow-wrap:anywhere]">{code}</p>}
    </section>
  )
}

function holdWords({ wholeWord, whole, toBight, toBightWord, turnsRound }: Hold): string {
  const round =
    turnsRound === null || turnsRound === 0
      ? ''
      : ` The string goes round what is put into it ${TIMES[turnsRound] ?? `${turnsRound} times`}.`
  if (toBight === null)
    return `With its ends joined it is ${wholeWord}: it can’t come open without its end being drawn back.${round}`
  if (whole.length === 1)
    return `Draw its bight back and it is ${wholeWord}: what holds it is the jam, the anchor and the board. What the standing part draws tight on the bight is ${toBightWord}.${round}`
  return `With its ends joined it is ${wholeWord}.${round}`
}
