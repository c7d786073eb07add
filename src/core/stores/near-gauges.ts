/**
 * What is sold nearest to a gauge that nobody sells, and what each would do to the string.
 */
import { restPitch, type Instrument, type StringPosition } from '../instrument/instrument'
import { outerGauge, sameMake } from '../strings/construction'
import { marginWord, semitonesToBreaking, tension, utilisation, type Margin } from '../strings/tension'
import type { CatalogueOffer } from './buying'
import { KERF } from './cut-plan'
import { STAND_IN } from './fits'
import { twistToFill, type StringSpec } from './string-spec'

export interface NearGauge {
  readonly offerId: number
  /** Outer diameter, m. */
  readonly gauge: number
  /** N, at pitch. */
  readonly tension: number
  /** Against the charted string, as a share. */
  readonly tensionChange: number
  readonly margin: Margin
  readonly semitonesToBreaking: number
  /** Near enough to be fitted in its place. */
  readonly standsIn: boolean
}

/**
 * The next thinner and the next thicker string of the same make that somebody sells, the nearer first.
 *
 * @param instrument - with its tuning
 * @param position - where the string goes
 * @param wanted - what was asked for
 * @param length - to be cut for it, m
 * @param offers - of all suppliers; sets are left out
 */
export function nearGauges(
  instrument: Instrument,
  position: StringPosition,
  wanted: StringSpec,
  length: number,
  offers: readonly CatalogueOffer[],
): readonly NearGauge[] {
  const pitch = restPitch(instrument, position)
  const charted = tension(wanted.construction, position.speakingLength, pitch)
  const near = offers
    .flatMap(({ id, stock, contents }): NearGauge[] => {
      const [only] = contents
      if (!only || contents.length > 1 || stock === 0) return []
      const { construction } = only.spec
      if (!sameMake(construction, wanted.construction)) return []
      // All but the gauge must be right.
      const twist = twistToFill(only.spec, { ...wanted, construction, colour: only.spec.colour })
      if (twist === null || only.length < length + twist + KERF) return []
      const pull = tension(construction, position.speakingLength, pitch)
      const u = utilisation(construction, position.speakingLength, pitch)
      const tensionChange = pull / charted - 1
      return [
        {
          offerId: id,
          gauge: outerGauge(construction),
          tension: pull,
          tensionChange,
          margin: marginWord(u),
          semitonesToBreaking: semitonesToBreaking(u),
          standsIn: Math.abs(tensionChange) <= STAND_IN,
        },
      ]
    })
    .sort((a, b) => Math.abs(a.tensionChange) - Math.abs(b.tensionChange) || a.offerId - b.offerId)
  const lighter = near.find(({ tensionChange }) => tensionChange < 0)
  const heavier = near.find(({ tensionChange }) => tensionChange >= 0)
  return near.filter((one) => one === lighter || one === heavier)
}
