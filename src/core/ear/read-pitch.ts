/**
 * The pitch of a plucked string from its sound: its partials tracked through their decay, each weighted by how sure it
 * is, and one frequency and one inharmonicity fitted to them all.
 */
import { sampleAt } from './sample-at'
import { candidatesIn, spectrumOf, type Expected } from './comb'
import { dampedTone, type DampedTone } from './damped-tone'
import { envelopeOf } from './envelope'
import { byInharmonicity, partialHz } from './string-voice'

export type Unsure = 'silence' | 'too loud' | 'too soft' | 'two plucked' | 'another string rings'

export interface HeardPartial {
  readonly n: number
  readonly hz: number
  /** One standard deviation, Hz. */
  readonly error: number
  /** Left out of the fit: it belongs to something else. */
  readonly isStrange: boolean
}

export interface PitchReading {
  /** Of the first partial, Hz. */
  readonly hz: number
  /** One standard deviation, cents. */
  readonly error: number
  readonly inharmonicity: number
  readonly partials: readonly HeardPartial[]
  /** What makes it less sure than it could be; null where nothing does. */
  readonly because: Unsure | null
}

/** What can't be read, and why. */
export interface Unread {
  readonly hz: null
  readonly because: Unsure
}

/** Full scale is 1. */
const SILENT = 2e-5
const CLIPPED = 0.985
const MOST_CLIPPED = 0.002
const PARTIALS = 14
const ROUNDS = 3
/** A look that moves it by less than this share of its error was the last that is needed. */
const STILL = 0.1
const HIGHEST = 8000
/** A partial counts from this much over what surrounds it, as powers summed over its blocks. */
const HEARD = 30
/** A partial so far off what the others say is something else's: standard deviations. */
const STRANGE = 4
/** ln B may be off by so much from the chart's: moduli are estimates. */
export const INHARMONICITY_SPREAD = 0.5
/** No partial is told surer than this, cents: what is left of the others in it. */
const MIN_PARTIAL_ERROR = 0.003
/** Below this no string is as pure as its sum: its two ways of swinging differ, cents. */
const FLOOR = 0.05
/** Two readings of one sound that are about as likely, as logarithms. */
const AS_LIKELY = 4

/**
 * Reads a pitch.
 *
 * @param samples - from the moment after the pluck; full scale is 1
 * @param rate - samples a second
 * @param expected - where the string should be, and how sure that is
 */
export function readPitch(samples: Float64Array, rate: number, expected: Expected): PitchReading | Unread {
  let [power, clipped] = [0, 0]
  for (const sample of samples) {
    power += sample * sample
    if (Math.abs(sample) >= CLIPPED) clipped += 1
  }
  if (Math.sqrt(power / samples.length) < SILENT) return { hz: null, because: 'silence' }
  if (clipped > MOST_CLIPPED * samples.length) return { hz: null, because: 'too loud' }
  const [best, other] = candidatesIn(spectrumOf(samples, rate), expected)
  if (!best || best.score < 0) return { hz: null, because: 'too soft' }
  const heard = new PartialsOf(samples, rate)
  let fitted: Fitted = { hz: best.hz, inharmonicity: expected.inharmonicity, error: Infinity, partials: [] }
  // Each time every partial is looked for in what the others leave over.
  for (let round = 0; round < ROUNDS; round += 1) {
    const next = fitPartials(heard.near(fitted), { hz: fitted.hz, inharmonicity: expected.inharmonicity })
    if (!next) return { hz: null, because: 'too soft' }
    const moved = Math.abs(Math.log(next.hz / fitted.hz)) / CENT
    fitted = next
    if (round > 0 && moved < STILL * next.error) break
  }
  const strange = fitted.partials.filter(({ isStrange }) => isStrange).length
  const isDoubtful = other !== undefined && best.score - other.score < AS_LIKELY
  return { ...fitted, because: isDoubtful ? 'two plucked' : strange > 1 ? 'another string rings' : null }
}

/** Partials as they were heard last, and the sound without them. */
class PartialsOf {
  private readonly left: Float64Array
  private readonly tones = new Map<number, { readonly hz: number; readonly tone: DampedTone }>()

  constructor(
    samples: Float64Array,
    private readonly rate: number,
  ) {
    this.left = Float64Array.from(samples)
  }

  near(string: { readonly hz: number; readonly inharmonicity: number }): readonly HeardPartial[] {
    const top = Math.min(HIGHEST, this.rate * 0.45)
    const heard: HeardPartial[] = []
    for (let n = 1; n <= PARTIALS; n += 1) {
      const at = partialHz(string, n)
      if (at > top) break
      const before = this.tones.get(n)
      if (before) addTone(this.left, this.rate, before, 1)
      const tone = dampedTone(envelopeOf(this.left, this.rate, at, string.hz))
      if (tone && tone.strength > HEARD && Math.abs(tone.off) < string.hz / 4) {
        heard.push({ n, hz: at + tone.off, error: tone.error, isStrange: false })
        const now = { hz: at, tone }
        this.tones.set(n, now)
        addTone(this.left, this.rate, now, -1)
      } else this.tones.delete(n)
    }
    return heard
  }
}

/** Adds a tone that was heard, or takes it away. */
function addTone(
  samples: Float64Array,
  rate: number,
  { hz, tone }: { readonly hz: number; readonly tone: DampedTone },
  sign: 1 | -1,
): void {
  const { re, im, off, decay, from } = tone
  // At the first sample: back by the way to the middle of the first block.
  const fade0 = Math.exp(decay * from)
  const turned = -2 * Math.PI * off * from
  let x = sign * fade0 * (re * Math.cos(turned) - im * Math.sin(turned))
  let y = sign * fade0 * (re * Math.sin(turned) + im * Math.cos(turned))
  const turn = (2 * Math.PI * (hz + off)) / rate
  const fade = Math.exp(-decay / rate)
  const [c, s] = [fade * Math.cos(turn), fade * Math.sin(turn)]
  for (let i = 0; i < samples.length; i += 1) {
    samples[i] = sampleAt(samples, i) + x
    const next = x * c - y * s
    y = x * s + y * c
    x = next
  }
}

type Fitted = Omit<PitchReading, 'because'>

/** One frequency and one B for all partials: Gauss and Newton over their logarithms, B held near the chart's. */
function fitPartials(
  heard: readonly HeardPartial[],
  start: { readonly hz: number; readonly inharmonicity: number },
): Fitted | null {
  let partials = heard
  let at = { hz: start.hz, inharmonicity: start.inharmonicity, error: 0, spread: 1 }
  for (let round = 0; round < 8; round += 1) {
    const next = solved(partials, at, start.inharmonicity)
    if (!next) return null
    at = next
    const judged = heard.map((partial) => ({
      ...partial,
      isStrange:
        Math.abs(offBy(partial, at)) > STRANGE * Math.max(1, Math.min(3, at.spread)) * errorOf(partial),
    }))
    // What is left when half of them are strange is no string at all.
    partials = judged.filter(({ isStrange }) => !isStrange).length * 2 >= heard.length ? judged : partials
  }
  return { hz: at.hz, inharmonicity: at.inharmonicity, error: at.error, partials }
}

/** How far a partial lies from where it should, as a logarithm. */
const offBy = (partial: HeardPartial, string: { readonly hz: number; readonly inharmonicity: number }) =>
  Math.log(partial.hz / partialHz(string, partial.n))
const CENT = Math.LN2 / 1200
const errorOf = ({ hz, error }: HeardPartial) => Math.hypot(error / hz, MIN_PARTIAL_ERROR * CENT)

function solved(
  partials: readonly HeardPartial[],
  at: { readonly hz: number; readonly inharmonicity: number },
  charted: number,
) {
  const used = partials.filter(({ isStrange }) => !isStrange)
  if (used.length === 0) return null
  const b = at.inharmonicity
  // By ln f and ln B.
  let [ff, fb, bb] = [0, 0, INHARMONICITY_SPREAD ** -2]
  let [gf, gb] = [0, (Math.log(charted) - Math.log(b)) * INHARMONICITY_SPREAD ** -2]
  let chi = 0
  for (const partial of used) {
    const { n } = partial
    const weight = errorOf(partial) ** -2
    const byB = byInharmonicity(b, n)
    const off = offBy(partial, at)
    ff += weight
    fb += weight * byB
    bb += weight * byB * byB
    gf += weight * off
    gb += weight * byB * off
    chi += weight * off * off
  }
  const det = ff * bb - fb * fb
  if (!(det > 0)) return null
  const spread = used.length > 1 ? Math.sqrt(chi / (used.length - 1)) : 1
  return {
    hz: at.hz * Math.exp((bb * gf - fb * gb) / det),
    inharmonicity: b * Math.exp(Math.max(-1, Math.min(1, (ff * gb - fb * gf) / det))),
    error: Math.hypot((Math.sqrt(bb / det) * Math.max(1, spread)) / CENT, FLOOR),
    spread,
  }
}
