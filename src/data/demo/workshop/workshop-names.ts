/** Names for the instruments and owners of a made-up workshop: herbs and trees, ensembles and schools. */

// prettier-ignore
const HERBS = [
  'Angelica', 'Betony', 'Burnet', 'Catmint', 'Chicory', 'Clary', 'Costmary', 'Dill', 'Elecampane', 'Fleabane',
  'Hyssop', 'Juniper', 'Lavender', 'Mallow', 'Meadowsweet', 'Melilot', 'Mugwort', 'Mullein', 'Rue', 'Saffron',
  'Savory', 'Tansy', 'Valerian', 'Vervain', 'Woodruff',
]
// prettier-ignore
const TREES = [
  'Alder', 'Ash', 'Aspen', 'Birch', 'Elder', 'Hazel', 'Holly', 'Larch', 'Linden', 'Maple',
  'Medlar', 'Poplar', 'Rowan', 'Spindle', 'Willow',
]
// prettier-ignore
const OWNERS = [
  'the Town Orchestra', 'the Youth Harps', 'Mill Lane School', 'the Walk Band', 'the Story Circle', 'Quay Street School',
  'the Garden Players', 'the Evening Class', 'the Chapel Choir', 'the Winter Ensemble', 'Hill Road School', 'the Dance House',
]

/** `Tansy Alder`: two words, so that no number of a string is part of it; there are 375. */
export function workshopName(index: number): string {
  const round = Math.floor(index / (HERBS.length * TREES.length))
  const name = `${HERBS[index % HERBS.length]} ${TREES[Math.floor(index / HERBS.length) % TREES.length]}`
  return round === 0 ? name : `${name} ${'of the Yard '.repeat(round).trim()}`
}

/** Who an instrument belongs to. */
export function workshopOwner(index: number): string {
  return `Lantern Shelf, for ${OWNERS[(index * 7) % OWNERS.length]}`
}
