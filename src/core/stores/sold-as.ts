/** How a supplier sells a line: one string, a packet of several, or wire and gut by length on a reel. */
import type { StringEnd } from '../knots/string-ends'

export const SOLD_AS = ['one string', 'packet', 'reel'] as const
export type SoldAs = (typeof SOLD_AS)[number]

const WORDS: readonly (readonly [SoldAs, RegExp])[] = [
  [
    'reel',
    /reel|spool|coil|roll|bobbin|by the (?:met|foot|yard)|spule|rolle|bobine|rouleau|bobina|rotolo|rollo|carrete|meterware/,
  ],
  ['packet', /pack|pkt|bag|bundle|pieces|päckchen|packung|paquet|sachet|pacchetto|confezione|bolsa|paquete/],
  ['one string', /one|single|each|string|stück|einzeln|pièce|unité|corde|corda|pezzo|cuerda|unidad/],
]
/** Nobody sells one string so long, m. */
const LONGER_THAN_A_STRING = 5

/**
 * How a line is sold.
 *
 * @param text - as the price list has it; where it says nothing, length and pieces tell
 * @throws RangeError when it says something that is none of the three
 */
export function readSoldAs(
  text: string,
  { length, pieces, end }: { readonly length: number; readonly pieces: number; readonly end: StringEnd },
): SoldAs {
  const plain = text.trim().toLowerCase()
  if (plain !== '') {
    const found = WORDS.find(([, words]) => words.test(plain))
    if (!found) throw new RangeError(`Expected ${SOLD_AS.join(', ')}, got “${text.trim()}”.`)
    return found[0]
  }
  if (end === 'plain' && length >= LONGER_THAN_A_STRING) return 'reel'
  return pieces > 1 ? 'packet' : 'one string'
}

/** How much of a string a line is: `1200 mm`, `5 × 1200 mm`, `reel of 10000 mm`. */
export function soldText(
  { soldAs, pieces }: { readonly soldAs: SoldAs; readonly pieces: number },
  length: string,
): string {
  const each = soldAs === 'reel' ? `reel of ${length}` : length
  return pieces === 1 ? each : `${pieces} × ${each}`
}
