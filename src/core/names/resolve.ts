/**
 * Which strings of an instrument a name means.
 */
import { itemAt } from '../list/item-at'
import { centsAbove } from '../pitch/cents'
import { harpOctaveOf, harpOctaveWord, ordinal } from '../pitch/harp-octave'
import { letterStep, noteWord, scientificWord, semitoneNumber, type Note } from '../pitch/note'
import { gaugeOf, restPitch, type Instrument, type StringPosition } from '../instrument/instrument'
import { countedFromWord, leadingNames } from '../instrument/names'
import type { Anchor, Kind, Named } from './grammar'
import { indexOf } from './index-of'

export interface NameReading {
  /** From the top, as positions are told apart. */
  readonly number: number
  /** How the text was understood: `4th-octave A`, `A4 in scientific pitch`, `number 25 from the bottom`. */
  readonly means: string
}

const WORDS: Readonly<Record<string, string>> = { any: 'string', dark: 'blue or black' }
const kindWord = (kind: Kind) => WORDS[kind] ?? kind
/** Put into words only where there is a string: a shelf of hundreds mostly has none to tell of. */
const reading = (p: StringPosition | undefined, means: () => string): readonly NameReading[] =>
  p ? [{ number: p.number, means: means() }] : []

/** Every string that a name can mean, the likeliest first. */
export function resolve(named: Named, instrument: Instrument): readonly NameReading[] {
  const { positions } = instrument
  switch (named.is) {
    case 'note':
      return byNote(named, instrument)
    case 'number':
      return byNumber(named, instrument)
    case 'nth': {
      const all = indexOf(instrument).ofKind(named.kind)
      const found = all[named.from === 'top' ? named.nth - 1 : all.length - named.nth]
      return reading(found, () => `the ${ordinal(named.nth)} ${kindWord(named.kind)} from the ${named.from}`)
    }
    case 'away':
      return anchors(named.anchor, instrument).flatMap((anchor) => {
        const there = beyond(instrument, anchor, named)
        return reading(
          there,
          () =>
            `${named.nth} ${named.kind === 'any' ? '' : `${kindWord(named.kind)} `}${named.way} ${toldFrom(named.anchor, anchor)}`,
        )
      })
    case 'interval':
      return anchors(named.anchor, instrument).flatMap((anchor) => {
        const step = letterStep(anchor.note) + (named.way === 'above' ? named.steps : -named.steps)
        return (indexOf(instrument).byStep.get(step) ?? []).flatMap((p) =>
          reading(
            p,
            () => `${named.steps} steps of the scale ${named.way} ${toldFrom(named.anchor, anchor)}`,
          ),
        )
      })
    case 'sound': {
      const { pitches } = indexOf(instrument)
      return positions
        .filter((_, i) => Math.abs(centsAbove(named.hertz, itemAt(pitches, i))) <= NEAR)
        .flatMap((p) =>
          reading(
            p,
            () => `sounds ${scientificWord(p.note)} at rest, ${restPitch(instrument, p).toFixed(1)} Hz`,
          ),
        )
    }
    case 'thickness': {
      const order = [...positions].sort((a, b) => gaugeOf(b) - gaugeOf(a))
      const [end] = named.most === 'thick' ? order : order.reverse()
      return end
        ? positions
            .filter((p) => Math.abs(gaugeOf(p) - gaugeOf(end)) < 1e-6)
            .flatMap((p) => reading(p, () => `the ${named.most}est`))
        : []
    }
  }
}

/** A heard pitch belongs to a string within a quarter tone of it, cents. */
const NEAR = 50

function byNote(named: Named & { is: 'note' }, instrument: Instrument): readonly NameReading[] {
  const { positions } = instrument
  const { letter, octave, accidental, counted } = named
  const { byStep, bySemitone } = indexOf(instrument)
  const at = (scientific: number) => byStep.get(letterStep({ letter, octave: scientific } as Note)) ?? []
  const other = 'CDE'.includes(letter) ? 8 - octave : 7 - octave
  const harps = () =>
    at(other).map((p) => ({ number: p.number, means: `${harpOctaveWord(p.note)}, counted from the treble` }))
  if (counted === 'harp') return harps()
  if (accidental !== null) {
    const sounding =
      bySemitone.get(Number(semitoneNumber({ letter, octave, accidental } as unknown as Note))) ?? []
    if (sounding.length > 0)
      return sounding.map((p) => ({ number: p.number, means: `sounds ${scientificWord(p.note)} at rest` }))
  }
  const also = (p: StringPosition) =>
    p.called.by === 'harp octave' ? `the ${harpOctaveWord(p.note)}` : leadingNames(p).name
  const scientific = at(octave).map((p) => ({
    number: p.number,
    means: `${letter}${octave} in scientific pitch, ${also(p)}${accidental === null ? '' : `; it rests at ${noteWord(p.note)}`}`,
  }))
  // Players of other instruments know no harp octaves.
  return counted === 'unsaid' && other !== octave && positions[0]?.called.by === 'harp octave'
    ? [...scientific, ...harps()]
    : scientific
}

function byNumber(
  { number, from }: Named & { is: 'number' },
  instrument: Instrument,
): readonly NameReading[] {
  const { positions } = instrument
  switch (from) {
    case 'own':
      return reading(
        positions.find((p) => p.called.number === number),
        () => `number ${number} ${countedFromWord(instrument)}`,
      )
    case 'last':
      return reading(
        positions.find((p) => p.called.number === positions.length + 1 - number),
        () => (number === 1 ? 'the last one' : `the ${ordinal(number)} to last`),
      )
    case 'middle': {
      const half = (positions.length - 1) / 2
      return [...new Set([Math.floor(half), Math.ceil(half)])].flatMap((i) =>
        reading(positions[i], () => `in the middle, number ${positions[i]?.called.number ?? i + 1}`),
      )
    }
    case 'top':
      return reading(positions[number - 1], () => `number ${number} from the top`)
    case 'bottom':
      return reading(positions[positions.length - number], () => `number ${number} from the bottom`)
  }
}

/** The nth string of a kind on one side of another. */
function beyond(
  { positions }: Instrument,
  { number }: StringPosition,
  { nth, kind, way }: Named & { is: 'away' },
): StringPosition | undefined {
  const step = way === 'below' ? 1 : -1
  const counts = ofKind(kind)
  let left = nth
  for (let i = number - 1 + step; i >= 0 && i < positions.length; i += step) {
    const p = itemAt(positions, i)
    if (counts(p) && (left -= 1) === 0) return p
  }
  return undefined
}

function ofKind(kind: Kind): (p: StringPosition) => boolean {
  switch (kind) {
    case 'any':
      return () => true
    case 'red':
      return (p) => p.colour === 'red'
    case 'dark':
      return (p) => p.colour === 'black' || p.colour === 'blue'
    default:
      return (p) => p.note.letter === kind
  }
}

function anchors(anchor: Anchor, instrument: Instrument): readonly StringPosition[] {
  if (anchor.is === 'any of') return indexOf(instrument).ofKind(anchor.kind)
  return resolve(anchor, instrument).flatMap(({ number }) => instrument.positions[number - 1] ?? [])
}

function toldFrom(anchor: Anchor, { called }: StringPosition): string {
  if (anchor.is === 'any of') return `number ${called.number}, a ${kindWord(anchor.kind)} one`
  return anchor.is === 'note' && anchor.letter === 'C' && anchor.octave === 4
    ? 'middle C'
    : `number ${called.number}`
}

/**
 * The string that comes nearest to a name that none has, with what it is called; null where the name says nothing to be near to.
 */
export function nearestTo(named: Named, instrument: Instrument): StringPosition | null {
  const { positions } = instrument
  const by = (far: (p: StringPosition) => number) =>
    positions.reduce<StringPosition | null>(
      (best, p) => (best === null || far(p) < far(best) ? p : best),
      null,
    )
  switch (named.is) {
    case 'number': {
      const wanted = named.from === 'bottom' ? positions.length + 1 - named.number : named.number
      return by((p) =>
        Math.abs((named.from === 'own' || named.from === 'last' ? p.called.number : p.number) - wanted),
      )
    }
    case 'sound':
      return by((p) => Math.abs(centsAbove(named.hertz, restPitch(instrument, p))))
    case 'note': {
      const octave = (p: StringPosition) =>
        named.counted === 'harp' ? Number(harpOctaveOf(p.note)) : Number(p.note.octave)
      return by((p) => (p.note.letter === named.letter ? 0 : 0.5) + Math.abs(octave(p) - named.octave))
    }
    case 'nth':
      return (
        indexOf(instrument)
          .ofKind(named.kind)
          .at(named.from === 'top' ? -1 : 0) ?? null
      )
    default:
      return null
  }
}
