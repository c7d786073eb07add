/**
 * Designs a string chart from stated targets: lengths and tensions as curves over the positions, gauges chosen from
 * those that can be bought, geometry from spacing and the lines of board and neck.
 */
import type { HeadFastening, TailFastening } from '../knots/fastenings'
import { itemAt } from '../list/item-at'
import { frequency, type Note } from '../pitch/note'
import { restTuning } from '../pitch/rest-tuning'
import type { Construction } from '../strings/construction'
import { massPerLength, outerGauge } from '../strings/construction'
import type { Material } from '../strings/materials'
import type { TuningPin } from '../winding/pin'
import { calledAs, callingOf, type Calling } from './called'
import {
  gaugeOf,
  type Bearing,
  type Covering,
  type Instrument,
  type Mechanism,
  type StringColour,
  type StringPosition,
} from './instrument'
import { monotoneCurve, type Control } from './monotone-curve'

/** A run of positions of one make, with the gauges that can be bought, m. */
export interface SectionDesign {
  readonly upTo: number
  readonly make:
    | { readonly kind: 'plain'; readonly material: Material; readonly gauges: readonly number[] }
    | {
        readonly kind: 'wound'
        readonly core: Material
        readonly coreDiameters: readonly Control[]
        readonly bedding: { readonly material: Material; readonly thickness: number } | null
        readonly wrap: Material
        readonly wraps: readonly number[]
      }
  readonly tail: TailFastening
  readonly head: HeadFastening
  /** Make and line of string to be asked for. */
  readonly asks?: string
}

/** Curves run over pieces, counted from the top; lengths in m, tensions in N. */
export interface InstrumentDesign {
  readonly about: Omit<Instrument, 'positions' | 'coverings' | 'strung' | keyof Calling> &
    Partial<Calling & Pick<Instrument, 'strung'>>
  /** What the players call the strings by, shortest first; left out where they have no roles. */
  readonly roles?: readonly string[]
  /** The letter and octave of each piece, shortest first; the rest tuning gives the accidentals where none is written. */
  readonly notes: readonly Note[]
  /** How many neighbouring positions one piece serves, all at one note. */
  readonly stringsPerPiece: 1 | 2
  readonly lengths: readonly Control[]
  readonly tensions: readonly Control[]
  readonly sections: readonly SectionDesign[]
  /** Gauges need not grow from string to string: its notes go up and down. */
  readonly eachGaugeAlone?: boolean
  readonly coloured: boolean
  readonly mechanism: Mechanism | null
  /** Gap to the next longer piece, m. */
  readonly spacing: readonly Control[]
  /** Gap between the two strings of one piece, m; zero where a piece is one string. */
  readonly pairGap: number
  /** Height of the line of the string's lower ends, m. */
  readonly lowerLine: readonly Control[]
  /** From bridge pin to tuning pin, m. */
  readonly beyondBridge: readonly Control[]
  /** Every second piece's pins stand this much further out, m. */
  readonly stagger: number
  /** Under tension below the speaking length, m: through the board to the knot, or over a bridge to the post. */
  readonly belowSpeaking: number
  readonly boardThickness: number
  readonly eyeletBores: readonly Control[] | null
  readonly postDiameter: number | null
  readonly bearing?: Bearing
  readonly pin: Omit<TuningPin, 'toBridge'>
  readonly coverings: readonly Covering[]
}

/**
 * Carries out a design.
 *
 * @returns the instrument with all its positions; lengths to 0.1 mm and gauges as they are sold
 * @throws RangeError when a section has no gauge to offer or a curve is malformed
 */
export function designInstrument(design: InstrumentDesign): Instrument {
  const about: Omit<Instrument, 'positions' | 'coverings'> = {
    strung: 'as usual',
    ...callingOf(design.about.family),
    ...design.about,
  }
  const accidentals = restTuning(design.about.restTuning).accidentals
  const length = monotoneCurve(design.lengths.map(([n, l]) => [n, Math.log(l)] as const))
  const curves = {
    tension: monotoneCurve(design.tensions),
    spacing: monotoneCurve(design.spacing),
    lower: monotoneCurve(design.lowerLine),
    beyond: monotoneCurve(design.beyondBridge),
    bore: design.eyeletBores && monotoneCurve(design.eyeletBores),
  }
  // Whoever writes one sharp or flat writes all of them: a bare letter beside it is natural.
  const isAsWritten = design.notes.some(({ accidental }) => accidental !== 0)
  const total = design.notes.length * design.stringsPerPiece
  const pieceOf = (number: number) => Math.ceil(number / design.stringsPerPiece)
  const across = acrossFromBass(total, (number) =>
    pieceOf(number) === pieceOf(number + 1) ? design.pairGap : curves.spacing(pieceOf(number)),
  )
  const positions: StringPosition[] = []
  for (let number = 1; number <= total; number += 1) {
    const piece = pieceOf(number)
    const natural = itemAt(design.notes, piece - 1)
    const note: Note =
      natural.accidental === 0 && !isAsWritten
        ? { ...natural, accidental: accidentals[natural.letter] }
        : natural
    const speakingLength = tenth(Math.exp(length(piece)))
    const section = design.sections.find((s) => piece <= s.upTo)
    if (!section)
      throw new RangeError(`design of ${design.about.name}: expected a section that holds string ${number}.`)
    const thinner =
      !design.eachGaugeAlone && design.sections.find((s) => piece - 1 <= s.upTo) === section
        ? positions.at(-1)
        : undefined
    const beyond = tenth(curves.beyond(piece) + (piece % 2 === 0 ? design.stagger : 0))
    const tail = { x: tenth(itemAt(across, number - 1)), y: tenth(curves.lower(piece)) }
    positions.push({
      number,
      note,
      piece,
      speakingLength,
      called: calledAs(about, number, total, design.roles?.[number - 1] ?? null),
      makerLabel: null,
      askedMake: section.asks ?? null,
      colour: design.coloured ? colourOf(note) : 'natural',
      construction: chooseGauge(
        section,
        piece,
        thinner,
        curves.tension(piece) / (4 * (speakingLength * frequency(note, design.about.referenceA)) ** 2),
      ),
      freeLength: tenth(design.belowSpeaking + speakingLength + beyond),
      mechanism: design.mechanism,
      head: { fastening: section.head, pin: { ...design.pin, toBridge: beyond } },
      tail: {
        fastening: section.tail,
        bearing: design.bearing ?? null,
        boardThickness: design.boardThickness,
        postDiameter: design.postDiameter,
        eyeletBore: curves.bore ? tenth(curves.bore(piece)) : null,
      },
      at: {
        tail,
        bridge: { x: tail.x, y: tenth(tail.y + speakingLength) },
        pin: { x: tail.x, y: tenth(tail.y + speakingLength + beyond) },
      },
    })
  }
  return { ...about, positions, coverings: design.coverings }
}

/** Distance of each string from the longest, m; the shortest stands furthest right. */
function acrossFromBass(total: number, spacing: (number: number) => number): number[] {
  const across = new Array<number>(total).fill(0)
  for (let number = total - 1; number >= 1; number -= 1)
    across[number - 1] = itemAt(across, number) + spacing(number)
  return across
}

function colourOf({ letter }: Note): StringColour {
  return letter === 'C' ? 'red' : letter === 'F' ? 'black' : 'natural'
}

/**
 * The string on offer whose mass per length comes nearest to the wanted one, never thinner than its shorter neighbour
 * in the same section.
 */
function chooseGauge(
  { make }: SectionDesign,
  piece: number,
  shorter: StringPosition | undefined,
  mass: number,
): Construction {
  const onOffer: Construction[] =
    make.kind === 'plain'
      ? make.gauges.map((gauge) => ({ kind: 'plain', material: make.material, gauge }))
      : make.wraps.map((diameter) => ({
          kind: 'wound',
          bedding: make.bedding,
          wrap: { material: make.wrap, diameter },
          core: { material: make.core, diameter: hundredth(monotoneCurve(make.coreDiameters)(piece)) },
        }))
  const least = shorter ? gaugeOf(shorter) : 0
  const [best] = onOffer
    .filter((string) => outerGauge(string) >= least - 1e-9)
    .sort((a, b) => Math.abs(massPerLength(a) - mass) - Math.abs(massPerLength(b) - mass))
  if (!best) throw new RangeError(`design: expected a gauge on offer for piece ${piece}, got none.`)
  return best
}

const tenth = (metres: number) => Math.round(metres * 1e4) / 1e4
const hundredth = (metres: number) => Math.round(metres * 1e5) / 1e5
