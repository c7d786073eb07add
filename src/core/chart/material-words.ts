/**
 * Materials as charts name them, in English, German, French, Italian and Spanish; no maker’s names. The one place for such words.
 */
import { itemAt } from '../list/item-at'
import type { Material } from '../strings/materials'

/** Other words for the materials; a plain “nylon” is taken as the commoner string nylon. */
const WORDS: Readonly<Record<Material, readonly string[]>> = {
  gut: ['gut', 'sheep gut', 'beef gut', 'darm', 'naturdarm', 'boyau', 'budello', 'minugia', 'tripa'],
  'nylon 6.12': [
    'nylon',
    'nylon 6.12',
    'nylon 612',
    'nylon 6/12',
    'polyamid',
    'polyamide',
    'perlon',
    'nailon',
    'monofilament',
  ],
  'nylon 6.6': ['nylon 6.6', 'nylon 66', 'nylon 6/6', 'nylon 6'],
  fluorocarbon: [
    'fluorocarbon',
    'fluoro',
    'fluoro carbon',
    'fluorcarbon',
    'carbon',
    'carbone',
    'carbonio',
    'carbono',
    'karbon',
    'fluorocarbone',
    'pvdf',
  ],
  silk: ['silk', 'seide', 'soie', 'seta', 'seda'],
  steel: [
    'steel',
    'wire',
    'plain steel',
    'music wire',
    'steel wire',
    'stahl',
    'stahldraht',
    'acier',
    'acciaio',
    'acero',
    'metal',
  ],
  'phosphor bronze': [
    'phosphor bronze',
    'bronze',
    'phosphorbronze',
    'bronze phosphoreux',
    'bronzo',
    'bronce',
  ],
  brass: ['brass', 'messing', 'laiton', 'ottone', 'latón', 'laton'],
  copper: ['copper', 'kupfer', 'cuivre', 'rame', 'cobre'],
}

const BY_WORD: ReadonlyMap<string, Material> = new Map(
  Object.entries(WORDS).flatMap(([material, words]) => words.map((word) => [word, material as Material])),
)

/** “X on Y”: what is wound, and on what. */
const ON = /\s(?:(?:wound|wrapped|spun|covered) )?(?:on|over|auf|über|sur|su|sobre)\s/
/** “Y wound with X”. */
const WITH =
  /^(.+?),?\s(?:wound|wrapped|covered|umsponnen|umwickelt|filée?|filé|rivestita|rivestito|entorchad[ao])\s(?:with|mit|de|di|con|par)\s(.+)$/
/** “wound Y”, “Y, wound”: of what the wrap is nobody says. */
const WOUND =
  /^(?:(?:wound|wrapped|overwound|umsponnen(?:e|er|es)?|umsponnene|filée?|entorchad[ao]) (.+)|(.+?),? (?:wound|wrapped|overwound|umsponnen|filée?|rivestit[ao]|entorchad[ao]))$/

/** Layers from the outside in; the wrap is null where only “wound” is said. */
export interface WrittenLayers {
  readonly layers: readonly (Material | null)[]
}

/**
 * Reads what a string is made of.
 *
 * @returns null where a word of it is not known here
 * @example layersWritten('nylon wound on nylon').layers // ['nylon 6.12', 'nylon 6.12']
 */
export function layersWritten(text: string): WrittenLayers | null {
  const plain = ` ${text.trim().toLowerCase().replace(/[-_]/g, ' ').replace(/\s+/g, ' ')} `
  const words = plain.trim()
  const whole = BY_WORD.get(words)
  if (whole) return { layers: [whole] }
  const withWrap = WITH.exec(words)
  const parts = withWrap
    ? [itemAt(withWrap, 2), itemAt(withWrap, 1)]
    : plain.split(ON).map((part) => part.trim())
  if (parts.length > 1) {
    const layers = parts.map((part) => BY_WORD.get(part.trim().replace(/ (?:wound|wrapped|string)$/, '')))
    return layers.includes(undefined) ? null : { layers: layers as Material[] }
  }
  const wound = WOUND.exec(words)
  const core = wound && BY_WORD.get((wound[1] ?? wound[2] ?? '').trim())
  return core ? { layers: [null, core] } : null
}
