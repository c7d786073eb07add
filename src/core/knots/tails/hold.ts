/**
 * What kind of knot a tied fastening is, from its curve alone.
 */
import { turnsRound, type Rod } from '../rope/rod'
import { alexander, type Polynomial } from '../topology/alexander'
import { crossingsOf } from '../topology/crossings'
import type { Polyline } from '../topology/curve'
import { gaussCode, writhe, type GaussCode } from '../topology/gauss-code'
import { bightOf, centreline } from './state'
import { rodOf, type TailEnd } from './tail-end'

/** Knots that a fastening here can be, by their polynomials. */
const NAMES: ReadonlyMap<string, string> = new Map([
  ['1', 'no knot at all'],
  ['1,-1,1', 'an overhand'],
  ['-1,3,-1', 'a figure of eight'],
  ['1,-1,1,-1,1', 'an overhand with one more turn'],
  ['1,-2,3,-2,1', 'two overhands, one after the other'],
  ['-1,3,-3,3,-1', 'a knot of six crossings'],
])

export interface Hold {
  readonly crossings: number
  readonly code: GaussCode
  readonly writhe: number
  /** Of the whole string with its ends joined out of the way. */
  readonly whole: Polynomial
  readonly wholeWord: string
  /** Of the string up to the end of its bight, which is what pulling the standing part draws tight; null where there is none. */
  readonly toBight: Polynomial | null
  readonly toBightWord: string | null
  /** Whole turns round its anchor or toggle, without their direction; null where there is none. */
  readonly turnsRound: number | null
  /** The part that goes round it furthest, which is what it keeps open. */
  readonly keepsOpen: 'standing part' | 'working end' | null
}

/** The code of a curve as seen from outside the box. Its ends leave the drawing uncrossed, and are joined beyond it. */
export function codeOf(curve: Polyline): GaussCode {
  return gaussCode(crossingsOf(curve))
}

/** What holds a fastening. */
export function holdOfTailEnd(tailEnd: Pick<TailEnd, 'way' | 'onBight' | 'fixtures' | 'standingTo'>): Hold {
  const curve = centreline(tailEnd)
  const code = codeOf(curve)
  const whole = alexander(code)
  const toBight = tailEnd.onBight ? alexander(codeOf(curve.slice(0, bightOf(curve)))) : null
  const rod = rodOf(tailEnd)
  return {
    crossings: code.length / 2,
    code,
    whole,
    toBight,
    writhe: writhe(code),
    wholeWord: word(whole),
    toBightWord: toBight && word(toBight),
    turnsRound: rod && Math.round(Math.abs(turnsRound(curve, rod))),
    keepsOpen: rod && keptOpen(tailEnd, rod),
  }
}

function keptOpen({ way, standingTo }: Pick<TailEnd, 'way' | 'standingTo'>, rod: Rod): Hold['keepsOpen'] {
  const round = (piece: Polyline) => Math.abs(turnsRound(piece, rod))
  return round(way.slice(0, standingTo + 1)) > round(way.slice(standingTo)) ? 'standing part' : 'working end'
}

const word = (polynomial: Polynomial) =>
  NAMES.get(polynomial.join()) ?? `a knot with the polynomial ${polynomial.join(', ')}`

/** Whether two ties are each other's image in a mirror that lies in the plane of the drawing: every crossing the other way. */
export function areMirrorImages(a: Pick<TailEnd, 'way'>, b: Pick<TailEnd, 'way'>): boolean {
  const [first, second] = [codeOf(centreline(a)), codeOf(centreline(b))]
  return (
    first.length === second.length &&
    first.every((m, i) => {
      const other = second[i]
      return (
        other !== undefined &&
        m.crossing === other.crossing &&
        m.over !== other.over &&
        m.sign === -other.sign
      )
    })
  )
}
