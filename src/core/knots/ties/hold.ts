/**
 * What kind of knot a tied fastening is, from its curve alone.
 */
import { alexander, type Polynomial } from '../topology/alexander'
import { crossingsOf } from '../topology/crossings'
import type { Polyline } from '../topology/curve'
import { gaussCode, type GaussCode } from '../topology/gauss-code'
import { bightOf, centreline, type Tie } from './tie'

/** Knots that a fastening here can be, by their polynomials. */
const NAMES: ReadonlyMap<string, string> = new Map([['1', 'no knot at all'], ['1,-1,1', 'an overhand'], ['-1,3,-1', 'a figure of eight'], ['1,-1,1,-1,1', 'an overhand with one more turn'], ['-1,3,-3,3,-1', 'a knot of six crossings']])

export interface Hold {
  readonly crossings: number
  readonly code: GaussCode
  /** Of the whole string with its ends joined out of the way. */
  readonly whole: Polynomial
  readonly wholeWord: string
  /** Of the string up to the end of its bight, which is what pulling the standing part draws tight; null where there is none. */
  readonly toBight: Polynomial | null
  readonly toBightWord: string | null
}

/** The code of a curve as seen from outside the box. Its ends leave the drawing uncrossed, and are joined beyond it. */
export function codeOf(curve: Polyline): GaussCode {
  return gaussCode(crossingsOf(curve))
}

/** What holds a fastening. */
export function holdOfTie(tie: Pick<Tie, 'way' | 'onBight'>): Hold {
  const curve = centreline(tie)
  const code = codeOf(curve)
  const whole = alexander(code)
  const toBight = tie.onBight ? alexander(codeOf(curve.slice(0, bightOf(curve)))) : null
  return { crossings: code.length / 2, code, whole, wholeWord: word(whole), toBight, toBightWord: toBight && word(toBight) }
}

const word = (polynomial: Polynomial) => NAMES.get(polynomial.join()) ?? `a knot with the polynomial ${polynomial.join(', ')}`
