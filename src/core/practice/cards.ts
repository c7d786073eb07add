/**
 * Cards: what can be known and forgotten apart from all else. They follow from the house's own instruments and habits, and a
 * question on one is made anew each time.
 */
import { BEATING_INTERVALS, type BeatingInterval } from '../ear/beats'
import { withWorkshopKnot } from '../fitting/workshop-knot'
import { materialClass } from '../identify/material-class'
import type { StringPosition } from '../instrument/instrument'
import type { Fastening } from '../knots/tying'
import { grouped } from '../list/grouped'
import { harpOctaveOf, ordinal } from '../pitch/harp-octave'
import type { Drill, Own } from './drill'
import { FAULTS, faultsFor, type Fault } from './faults'
import { pairsBy } from './hear-question'
import { MATERIAL_WORDS } from './material-question'
import { OTHER_NAMES, otherNames, orderNames } from './name-question'
import { ownFigures, takesSlack } from './slack-score'
import { tieParts, type TiePart } from './tie-question'
import { seeded } from '../random/seeded'

export interface Card {
  /** The same for as long as the house has what it is about. */
  readonly id: string
  readonly drill: Drill
  /** What it is about, in a few words. */
  readonly about: string
  /** Slugs of the instruments that it can be asked on. */
  readonly slugs: readonly string[]
}

const SHORT_ROW = 8

/** Strings that are named alike: an octave of a harp, else a row that the eye takes in; by what they are called together. */
export function groupsOf({ positions }: Own['instrument']): ReadonlyMap<string, readonly StringPosition[]> {
  return grouped(positions, ({ called, note }) =>
    called.by === 'harp octave'
      ? `${ordinal(harpOctaveOf(note))} octave`
      : `strings from ${called.number - ((called.number - 1) % SHORT_ROW)}`,
  )
}

/** A group as it is told: `3rd octave`, `strings 1 to 8`. */
function groupWord(group: string, those: readonly StringPosition[]): string {
  const numbers = those.map(({ called }) => called.number)
  return those[0]?.called.by === 'harp octave'
    ? group
    : `strings ${Math.min(...numbers)} to ${Math.max(...numbers)}`
}

/** Bass, middle and treble: its strings in three parts, longest first; fewer where there are few. */
export function thirdsOf(strings: readonly StringPosition[]): ReadonlyMap<string, readonly StringPosition[]> {
  if (strings.length < 3) return new Map(strings.length === 0 ? [] : [['all', strings]])
  const third = Math.ceil(strings.length / 3)
  const thirds = [
    ['treble', strings.slice(0, third)],
    ['middle', strings.slice(third, -third)],
    ['bass', strings.slice(-third)],
  ] as const
  return new Map(thirds.filter(([, those]) => those.length > 0))
}

/** The fastenings that are tied on an instrument, each with how many of its strings have it, the most first. */
export function tiedOn(own: Own): ReadonlyMap<Fastening, number> {
  const counted = new Map<Fastening, number>()
  for (const charted of own.instrument.positions) {
    const { tail } = withWorkshopKnot(charted, own.habits)
    for (const fastening of [tail.fastening, ownFigures(own, charted).head])
      counted.set(fastening, (counted.get(fastening) ?? 0) + 1)
  }
  return new Map([...counted].sort(([, a], [, b]) => b - a))
}

const PART_WORDS: Record<TiePart, string> = {
  order: 'its stages in order',
  crossing: 'what passes over what',
  anchor: 'where its anchor goes',
  judge: 'right or wrong',
  memory: 'from memory',
}

/** Cards of one instrument. */
export function cardsOn(own: Own): readonly Card[] {
  const { instrument, habits } = own
  const { slug, name, positions } = instrument
  const sure = () => seeded(1)
  const groups = [...groupsOf(instrument)]
  const strings = positions.filter(takesSlack)
  const faults = new Set(positions.flatMap((p) => faultsFor(own, p)))
  const card = (drill: Drill, about: string, ...id: readonly string[]): Card => ({
    id: [drill, ...id].join(':'),
    drill,
    about,
    slugs: [slug],
  })
  return [
    ...groups.flatMap(([group, those]) =>
      positions.length > 1 &&
      those.some((p) => orderNames(instrument, p, habits.octaveNames, sure()) !== null)
        ? [card('which', `${groupWord(group, those)} of ${name}`, slug, group)]
        : [],
    ),
    ...OTHER_NAMES.flatMap((kind) =>
      positions.some((p) => otherNames(kind, instrument, p, habits.octaveNames, sure()) !== null)
        ? [card('name', `${kind} on ${name}`, slug, kind)]
        : [],
    ),
    ...[...new Set(positions.map((p) => materialClass(p.construction)))].map((one) =>
      card('material', MATERIAL_WORDS[one], one),
    ),
    ...[...tiedOn(own).keys()].flatMap((fastening) =>
      tieParts(fastening, habits).map((part) =>
        card('tie', `${fastening}, ${PART_WORDS[part]}`, fastening, part),
      ),
    ),
    ...[...thirdsOf(strings).keys()].map((third) => card('slack', `${third} of ${name}`, slug, third)),
    ...(positions.length > 1 ? [card('raise', name, slug)] : []),
    ...BEATING_INTERVALS.flatMap((interval) =>
      pairsBy(instrument, interval).length > 0 ? [card('hear', interval, interval)] : [],
    ),
    ...FAULTS.flatMap((fault) =>
      faults.has(fault) && faults.size > 1 ? [card('wrong', faultWord(fault), fault)] : [],
    ),
  ]
}

const faultWord = (fault: Fault) => (fault === 'nothing' ? 'a string that is put on well' : fault)

/** Cards of several instruments together: what they have in common is one. */
export function together(all: readonly (readonly Card[])[]): readonly Card[] {
  const cards = new Map<string, Card>()
  for (const card of all.flat()) {
    const known = cards.get(card.id)
    cards.set(card.id, known ? { ...known, slugs: [...known.slugs, ...card.slugs] } : card)
  }
  return [...cards.values()]
}

/** All cards of some instruments. */
export const cardsOf = (owns: readonly Own[]): readonly Card[] => together(owns.map(cardsOn))

/** The strings that a card can ask for on an instrument, in the order of their numbers. */
export function stringsOfCard(
  { id, drill }: Pick<Card, 'id' | 'drill'>,
  own: Own,
): readonly StringPosition[] {
  const [, first, second] = id.split(':')
  const { instrument } = own
  const { positions } = instrument
  switch (drill) {
    case 'which':
      return groupsOf(instrument).get(second ?? '') ?? []
    case 'material':
      return positions.filter((p) => materialClass(p.construction) === first)
    case 'slack':
      return thirdsOf(positions.filter(takesSlack)).get(second ?? '') ?? []
    case 'wrong':
      return positions.filter((p) => {
        const possible = faultsFor(own, p)
        return possible.length > 1 && possible.some((fault) => fault === first)
      })
    case 'tie':
      return positions.filter((p) => {
        const { tail } = withWorkshopKnot(p, own.habits)
        return tail.fastening === first || ownFigures(own, p).head === first
      })
    case 'hear':
      return pairsBy(instrument, first as BeatingInterval).map(({ other }) => other.position)
    case 'raise':
    case 'name':
      return positions
  }
}
