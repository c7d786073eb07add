/**
 * *Gut, nylon or wire?*: a piece of a string that the house has, to be told by its look, its bend and the nail. What is shown
 * is what is likeliest of its material; nothing is offered beside it that would be as likely.
 */
import { BENDS, LOOKS, NAILS } from '../identify/clue'
import { materialClass, type MaterialClass } from '../identify/material-class'
import { bendChance, lookChance, nailChance } from '../identify/touch'
import type { StringPosition } from '../instrument/instrument'
import type { Choice } from './choice'
import type { Specimen } from './question'
import { shuffled } from './shuffled'

export const MATERIAL_WORDS: Record<MaterialClass, string> = {
  gut: 'gut',
  nylon: 'nylon',
  fluorocarbon: 'fluorocarbon',
  silk: 'silk',
  wire: 'wire',
  wound: 'a wound string',
}

/** What each is told by, a sentence. */
const TOLD_BY: Record<MaterialClass, string> = {
  gut: 'Gut has fine twisted lines, feels faintly rough and dry, and keeps a crease: the white mark is damaged fibre.',
  nylon: 'Nylon has no grain at all, is slick under the nail, and recovers its shape at once.',
  fluorocarbon:
    'Fluorocarbon is glassy like nylon, but grey-tinged, and thinner and heavier for the same note.',
  silk: 'Silk is laid up of many fine threads, faintly rough, and keeps a crease.',
  wire: 'Wire is cold, hard and metallic, and holds a kink.',
  wound: 'A nail drawn along a wound string rasps over its windings.',
}

/** What each material is in plain, to hold the clues against. */
const PLAIN: Record<MaterialClass, Pick<StringPosition, 'construction' | 'colour'>['construction']> = {
  gut: { kind: 'plain', material: 'gut', gauge: 1e-3 },
  nylon: { kind: 'plain', material: 'nylon 6.12', gauge: 1e-3 },
  fluorocarbon: { kind: 'plain', material: 'fluorocarbon', gauge: 1e-3 },
  silk: { kind: 'plain', material: 'silk', gauge: 1e-3 },
  wire: { kind: 'plain', material: 'steel', gauge: 4e-4 },
  wound: {
    kind: 'wound',
    core: { material: 'steel', diameter: 4e-4 },
    wrap: { material: 'phosphor bronze', diameter: 3e-4 },
    bedding: null,
  },
}

/** So many times less likely by the clues must a material be that is offered beside the right one. */
const CLEARLY = 3
const MOST_WRONG = 3

const likeliest = <Seen extends string>(all: readonly Seen[], chance: (seen: Seen) => number): Seen =>
  all.reduce((best, one) => (chance(one) > chance(best) ? one : best))

/** How likely what is seen of a piece is, were it of a material. */
export function likelihoodOf(material: MaterialClass, { look, bend, nail, colour }: Specimen): number {
  const string = { construction: PLAIN[material], colour }
  return lookChance(string, look) * bendChance(string, bend) * nailChance(string, nail)
}

/** A piece of a string as it is likeliest to be found; a dyed one as often as not with its look hidden. */
export function specimenOf(position: StringPosition, random: () => number): Specimen {
  const hides = position.colour !== 'natural' && random() < 0.5
  return {
    construction: position.construction,
    colour: position.colour,
    look: hides
      ? 'hidden by dye'
      : likeliest(
          LOOKS.filter((look) => look !== 'hidden by dye'),
          (look) => lookChance(position, look),
        ),
    bend: likeliest(BENDS, (bend) => bendChance(position, bend)),
    nail: likeliest(NAILS, (nail) => nailChance(position, nail)),
  }
}

/** The materials that a piece can be told from by what is seen of it; null where there is none. */
export function materialChoices(specimen: Specimen, random: () => number): readonly Choice[] | null {
  const own = materialClass(specimen.construction)
  const wrong = (Object.keys(PLAIN) as MaterialClass[]).filter(
    (other) => other !== own && likelihoodOf(other, specimen) * CLEARLY < likelihoodOf(own, specimen),
  )
  if (wrong.length === 0) return null
  const choice = (material: MaterialClass): Choice => ({
    words: MATERIAL_WORDS[material],
    mistake: material === own ? null : `taken for ${MATERIAL_WORDS[material]}`,
    teaches: material === own ? TOLD_BY[own] : `${TOLD_BY[own]} ${TOLD_BY[material]}`,
    brings: null,
  })
  return shuffled([own, ...nearest(wrong, specimen, random)].map(choice), random)
}

/** What it is mistaken for most easily: those that the clues speak against least. */
function nearest(
  wrong: readonly MaterialClass[],
  specimen: Specimen,
  random: () => number,
): readonly MaterialClass[] {
  return shuffled(wrong, random)
    .toSorted((a, b) => likelihoodOf(b, specimen) - likelihoodOf(a, specimen))
    .slice(0, MOST_WRONG)
}
