/**
 * What a supplier's desk answers to an order: the same for the same seed. It stands in for people and their stores.
 */
import { requireValue } from '../list/require-value'
import { massPerLength, sameMake } from '../strings/construction'
import { STAND_IN } from './fits'
import type { StringSpec } from './string-spec'

export interface AskedLine {
  readonly part: string
  readonly packs: number
}

export interface DeskItem {
  readonly part: string
  /** Null for a set. */
  readonly spec: StringSpec | null
}

export interface DeskLine extends AskedLine {
  readonly answer: 'confirmed' | 'back-ordered' | 'substituted'
  /** The part offered in its place. */
  readonly offered: string | null
}

/** Chance that a line has to wait. */
const BACK_ORDERED = 0.1

/**
 * Answers an order line by line. One line, where it can be, is answered with a substitution: another colour, or the next
 * gauge of the same material.
 *
 * @param asked - the order's lines
 * @param catalogue - of the supplier
 * @param random - from 0 to 1, seeded by whoever calls
 */
export function deskAnswer(
  asked: readonly AskedLine[],
  catalogue: readonly DeskItem[],
  random: () => number,
): readonly DeskLine[] {
  const inPlace = asked.map(({ part }) => substituteFor(part, catalogue))
  const able = inPlace.flatMap((offered, i) => (offered === null ? [] : [i]))
  const substituted = able.length === 0 || asked.length < 2 ? -1 : able[Math.floor(random() * able.length)]
  return asked.map((line, i): DeskLine => {
    if (i === substituted) return { ...line, answer: 'substituted', offered: requireValue(inPlace[i]) }
    return {
      ...line,
      answer: random() < BACK_ORDERED && asked.length > 2 ? 'back-ordered' : 'confirmed',
      offered: null,
    }
  })
}

/** The nearest thing the supplier has to a part: the same material, class and end, near enough to stand in. */
function substituteFor(part: string, catalogue: readonly DeskItem[]): string | null {
  const asked = catalogue.find((item) => item.part === part)?.spec
  if (!asked) return null
  const near = catalogue.flatMap((item) => {
    const { spec } = item
    if (
      !spec ||
      item.part === part ||
      spec.tensionClass !== asked.tensionClass ||
      spec.end !== asked.end ||
      !sameMake(spec.construction, asked.construction)
    )
      return []
    const change = Math.abs(massPerLength(spec.construction) / massPerLength(asked.construction) - 1)
    return change > STAND_IN
      ? []
      : [{ part: item.part, strange: change + (spec.colour === asked.colour ? 0 : STAND_IN) }]
  })
  return near.sort((a, b) => a.strange - b.strange)[0]?.part ?? null
}

/** Lines of the delivery note: what was confirmed, and what was taken in place of something else. */
export function deliveryOf(
  answered: readonly DeskLine[],
  accepted: ReadonlySet<string>,
): readonly AskedLine[] {
  return answered.flatMap(({ part, packs, answer, offered }) => {
    if (answer === 'confirmed') return [{ part, packs }]
    return answer === 'substituted' && offered !== null && accepted.has(offered)
      ? [{ part: offered, packs }]
      : []
  })
}
