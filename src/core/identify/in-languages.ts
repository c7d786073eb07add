/**
 * Clues in plain speech, in English, German, French, Italian and Spanish, as the words that the readers of clues know.
 */
import { itemAt } from '../list/item-at'

/** `the red one`, `eine dünne Saite`: what stands round the word that says something. */
const BEFORE = /^(?:(?:the|an?|die|der|das|eine?[rnms]?|la|le|les|lo|il|el|une?|una) |l['’] ?)+/
/** `corde rouge`: the noun comes first. */
const NOUN = /^(?:saite|corde|corda|cuerda|string) (?=\S)/
const AFTER = / (?:ones?|strings?|saiten?|cordes?|corda|corde|cuerdas?)$/

/** Every form of a word, and the word that the readers know. */
const WORDS: readonly (readonly [forms: RegExp, word: string])[] = [
  [/^(?:rot(?:e[nrs]?)?|rouges?|ross[oaei]|roj[oa]s?)$/, 'red'],
  [
    /^(?:blue|black|blau(?:e[nrs]?)?|schwarz(?:e[nrs]?)?|bleue?s?|noire?s?|blu|ner[oaei]|azul(?:es)?|negr[oa]s?)$/,
    'dark',
  ],
  [/^(?:natur(?:farben)?|ungefärbt|naturel(?:le)?|non teinte|naturale|sin teñir)$/, 'natural'],
  [/^(?:dünne?|feine?|mince|fine|sottile|fina|delgad[oa])$/, 'thin'],
  [/^(?:dicke?|épaisse?|grosse?|spess[oa]|grues[oa])$/, 'thick'],
  [/^(?:klar|durchsichtig|glasklar|transparente?s?|trasparente|clair[e]?|chiar[oa])$/, 'clear'],
  [/^(?:metallisch|métallique|metallic[oa]|metálic[oa])$/, 'metallic'],
  [/^(?:umsponnen(?:e[nrs]?)?|filée?|rivestit[oa]|fasciat[oa]|entorchad[oa])$/, 'wound'],
  [/^(?:kalt|froide?|fredd[oa]|frí[oa])$/, 'cold'],
  [/^(?:rau|rauh|rugueuse?|rugueux|ruvid[oa]|áspera|áspero)$/, 'rough'],
  [/^(?:glatt|lisse|lisci[oa]|lis[oa])$/, 'smooth'],
  [/^(?:federt zurück|fait ressort|torna dritta|vuelve sola)$/, 'springs back'],
]
const BESIDE =
  /^(?:next to|beside|near|neben|à côté (?:de|d['’])|accanto (?:a|alla?)|vicino (?:a|alla?)|junto (?:a|al)|al lado de) ?(.+)$/

/** A word as the readers know it; the text itself where it is in none of these lists. */
export function inEnglish(text: string): string {
  const bare = bareWord(text)
  return WORDS.find(([forms]) => forms.test(bare))?.[1] ?? text
}

/** What it is said to lie beside, as the readers know it; null where nothing is. */
export function besideWhat(text: string): string | null {
  const found = BESIDE.exec(text)
  return found ? inEnglish(bareWord(itemAt(found, 1))) : null
}

/** The word alone: `a red one` is `red`. */
export function bareWord(text: string): string {
  return text.replace(BEFORE, '').replace(NOUN, '').replace(AFTER, '').trim()
}

const FROM = '(?:from|von|depuis|à partir de|en partant de|da|dalla|desde)'
const LEFT = new RegExp(`${FROM} (?:the |la |le )?(?:left|links|gauche|sinistra|izquierda)`)
const RIGHT = new RegExp(`${FROM} (?:the |la |le )?(?:right|rechts|droite|destra|derecha)`)

/**
 * Counts from the left or right as counts from an end, as the instrument is drawn.
 *
 * @param longestIsLeft - whether the longest string is drawn leftmost
 */
export function sidesAsEnds(text: string, longestIsLeft: boolean): string {
  const [left, right] = longestIsLeft ? ['bottom', 'top'] : ['top', 'bottom']
  return text.replace(LEFT, `from the ${left}`).replace(RIGHT, `from the ${right}`)
}
