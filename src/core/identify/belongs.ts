/**
 * Whether a new string belongs on a position: its gauge against the chart, the old string and the neighbours of the
 * same material, its material, its tension class, and what its packet calls it.
 */
import type { Family } from '../instrument/family'
import {
  gaugeOf,
  restPitch,
  type Instrument,
  type StringPosition,
  type TensionClass,
} from '../instrument/instrument'
import { measure, say, type Phrase } from '../measure'
import { materialWord, outerGauge, sameMake, type Construction } from '../strings/construction'
import { marginWord, tension, utilisation, type Margin } from '../strings/tension'
import { STAND_IN } from '../stores/fits'
import type { Side } from './clue'
import { neighbourOf, WORN_THINNER } from './likelihood'
import { materialClass } from './material-class'

export interface NewString {
  /** As its packet says, with the gauge that was measured on it. */
  readonly construction: Construction
  /** Standard error of the measurement, m. */
  readonly error: number
  /** Null where the packet doesn't say. */
  readonly tensionClass: TensionClass | null
  /** The kind of instrument that the packet names; null where it names none. */
  readonly madeFor: Family | null
}

export type Belonging = 'yes' | 'mind' | 'no'

export interface Reason {
  readonly about: 'material' | 'chart' | 'old string' | 'neighbours' | 'tension class' | 'packet' | 'strength'
  readonly verdict: Belonging
  readonly says: Phrase
}

export interface Belongs {
  /** The worst of the reasons. */
  readonly verdict: Belonging
  readonly reasons: readonly Reason[]
  /** What it would have here, at rest. */
  readonly tension: number
  readonly utilisation: number
  readonly margin: Margin
  /** Against the charted string, as a share. */
  readonly tensionChange: number
}

/** A gauge counts as the charted one within twice the error, or within this share where the error is finer. */
const SAME = { errors: 2, share: 0.015 }

/**
 * @param instrument - with its chart
 * @param position - where the new string would go
 * @param fresh - the new string
 * @param oldGauge - of the string that was on, as measured, m; null where it wasn't
 */
export function belongs(
  instrument: Instrument,
  position: StringPosition,
  fresh: NewString,
  oldGauge: number | null,
): Belongs {
  const pitch = restPitch(instrument, position)
  const force = tension(fresh.construction, position.speakingLength, pitch)
  const change = force / tension(position.construction, position.speakingLength, pitch) - 1
  const u = utilisation(fresh.construction, position.speakingLength, pitch)
  const reasons = [
    material(position, fresh),
    chart(position, fresh, change),
    old(position, fresh, oldGauge),
    neighbours(instrument, position, fresh),
    tensionClass(instrument, fresh),
    packet(instrument, fresh),
    strength(u),
  ].filter((point) => point !== null)
  const verdict = reasons.some((p) => p.verdict === 'no')
    ? 'no'
    : reasons.some((p) => p.verdict === 'mind')
      ? 'mind'
      : 'yes'
  return { verdict, reasons, tension: force, utilisation: u, margin: marginWord(u), tensionChange: change }
}

/** How far two gauges may lie apart and still be one, m. */
function allowance(gauge: number, error: number): number {
  return Math.max(SAME.errors * error, SAME.share * gauge)
}

function material({ construction }: StringPosition, fresh: NewString): Reason {
  const [is, wanted] = [materialWord(fresh.construction), materialWord(construction)]
  if (sameMake(fresh.construction, construction))
    return { about: 'material', verdict: 'yes', says: say`It is ${is}, as the chart asks.` }
  const alike = materialClass(fresh.construction) === materialClass(construction)
  return alike
    ? {
        about: 'material',
        verdict: 'mind',
        says: say`It is ${is}; the chart asks for ${wanted}. They feel alike, and sound and weigh a little differently.`,
      }
    : { about: 'material', verdict: 'no', says: say`It is ${is}; the chart asks for ${wanted}.` }
}

function chart(position: StringPosition, fresh: NewString, change: number): Reason {
  const charted = gaugeOf(position)
  const gauge = outerGauge(fresh.construction)
  const percent = measure('share', Math.abs(change))
  const direction = change > 0 ? 'raise' : 'lower'
  if (Math.abs(gauge - charted) <= allowance(charted, fresh.error)) {
    return {
      about: 'chart',
      verdict: 'yes',
      says: say`${measure('gauge', gauge)} is the charted ${measure('gauge', charted)}, as near as can be measured.`,
    }
  }
  return Math.abs(change) <= STAND_IN
    ? {
        about: 'chart',
        verdict: 'mind',
        says: say`${measure('gauge', gauge)} against the charted ${measure('gauge', charted)}: it would ${direction} the tension by ${percent}.`,
      }
    : {
        about: 'chart',
        verdict: 'no',
        says: say`${measure('gauge', gauge)} against the charted ${measure('gauge', charted)}: it would ${direction} the tension by ${percent}, too far to stand in.`,
      }
}

function old(position: StringPosition, fresh: NewString, oldGauge: number | null): Reason | null {
  if (oldGauge === null) return null
  const gauge = outerGauge(fresh.construction)
  const wears = !['wire', 'wound'].includes(materialClass(position.construction))
  const room = allowance(gauge, fresh.error)
  const thicker = gauge - oldGauge
  if (thicker < -room)
    return {
      about: 'old string',
      verdict: 'mind',
      says: say`It is thinner than the old one, which measured ${measure('gauge', oldGauge)}: was the old one the right gauge?`,
    }
  if (thicker <= room)
    return {
      about: 'old string',
      verdict: 'yes',
      says: say`It measures as the old one did, ${measure('gauge', oldGauge)}.`,
    }
  if (wears && thicker <= WORN_THINNER.most * gauge + room) {
    return {
      about: 'old string',
      verdict: 'yes',
      says: say`It is ${measure('share', thicker / oldGauge)} thicker than the old one, which is what wear takes from ${materialWord(position.construction)}.`,
    }
  }
  return {
    about: 'old string',
    verdict: 'mind',
    says: say`It is ${measure('share', thicker / oldGauge)} thicker than the old one, more than wear explains: was the old one the right gauge?`,
  }
}

/** It must lie not outside its neighbours of the same material; at a section change the rule stops. */
function neighbours(instrument: Instrument, position: StringPosition, fresh: NewString): Reason | null {
  const gauge = outerGauge(fresh.construction)
  const room = allowance(gauge, fresh.error)
  const beside = (side: Side) => {
    const there = neighbourOf(instrument, position, side)
    return there && sameMake(there.construction, position.construction) ? there : null
  }
  const [thin, thick] = [beside('shorter'), beside('longer')]
  if (!thin && !thick) return null
  const stops = !thin
    ? say` Its section begins here, so that only the longer one counts.`
    : !thick
      ? say` Its section ends here, so that only the shorter one counts.`
      : []
  if (thin && gauge < gaugeOf(thin) - room) {
    return {
      about: 'neighbours',
      verdict: 'no',
      says: [
        ...say`It is thinner than its shorter neighbour, which is charted ${measure('gauge', gaugeOf(thin))}.`,
        ...stops,
      ],
    }
  }
  if (thick && gauge > gaugeOf(thick) + room) {
    return {
      about: 'neighbours',
      verdict: 'no',
      says: [
        ...say`It is thicker than its longer neighbour, which is charted ${measure('gauge', gaugeOf(thick))}.`,
        ...stops,
      ],
    }
  }
  const shared = [thin, thick].filter(
    (there) => there !== null && Math.abs(gaugeOf(there) - gaugeOf(position)) < 5e-6,
  )
  const between =
    thin && thick
      ? say`It lies between its neighbours, ${measure('gauge', gaugeOf(thin))} and ${measure('gauge', gaugeOf(thick))}.`
      : say`It does not lie outside its neighbour of the same material.`
  return {
    about: 'neighbours',
    verdict: 'yes',
    says: [
      ...between,
      ...(shared.length > 0
        ? say` This gauge is shared by ${shared.length + 1 > 2 ? 'all three' : 'two'} of them.`
        : []),
      ...stops,
    ],
  }
}

function tensionClass({ tensionClass: wanted }: Instrument, fresh: NewString): Reason {
  if (fresh.tensionClass === null)
    return {
      about: 'tension class',
      verdict: 'mind',
      says: say`The packet does not say its tension class; this instrument is strung to ${wanted} tension.`,
    }
  return fresh.tensionClass === wanted
    ? {
        about: 'tension class',
        verdict: 'yes',
        says: say`It is made for ${wanted} tension, as this instrument is strung.`,
      }
    : {
        about: 'tension class',
        verdict: 'no',
        says: say`It is made for ${fresh.tensionClass} tension; this instrument is strung to ${wanted} tension. The wrong class can sound wrong, break, or overload the instrument.`,
      }
}

function packet({ family }: Instrument, { madeFor }: NewString): Reason | null {
  if (madeFor === null || madeFor === family) return null
  return {
    about: 'packet',
    verdict: 'yes',
    says: say`Its packet names a ${madeFor}, this is a ${family}. That alone says nothing against it: class, gauge and note decide.`,
  }
}

function strength(u: number): Reason {
  const margin = marginWord(u)
  const says = say`It would carry ${measure('share', u)} of its strength: ${margin === 'refuse' ? 'too close to breaking' : margin}.`
  return {
    about: 'strength',
    verdict: margin === 'refuse' ? 'no' : margin === 'short-lived' ? 'mind' : 'yes',
    says,
  }
}
