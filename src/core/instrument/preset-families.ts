/**
 * What is usual in each family where nothing is measured: pins, fastenings, sections and tensions. Our own designer’s, plausible to a maker.
 */
import type { UsualTension } from '../chart/tension-target'
import type { HeadFastening, TailFastening } from '../knots/fastenings'
import type { Material } from '../strings/materials'
import type { TuningPin } from '../winding/pin'
import type { Family } from './family'
import type { Bearing, Mechanism, TensionClass } from './instrument'
import type { Control } from './monotone-curve'

export const mm = 1e-3

/** A section of a preset: it holds what sounds at this note or above, and below it the next begins. */
export interface PresetSection {
  readonly downTo: string
  readonly make:
    | Material
    | {
        readonly wrap: Material
        readonly core: Material
        readonly coreDiameter: number
        readonly bedding: Material | null
      }
  readonly tail: TailFastening
  readonly head: HeadFastening
}

export interface Preset {
  /** What a new one is taken to be until its owner says otherwise. */
  readonly begins: {
    readonly notes: string
    readonly restTuning: string
    readonly tensionClass: TensionClass
  }
  /** The range that most of the family have, shortest and longest string. */
  readonly usual: readonly [top: string, bottom: string]
  /** Length times frequency, m/s, over the usual range from its shortest string (0) to its longest (1); or one length for all alike, m. */
  readonly pace: readonly Control[] | { readonly alike: number }
  readonly tension: UsualTension
  readonly sections: readonly PresetSection[]
  readonly coloured: boolean
  readonly mechanism: Mechanism | null
  readonly spacing: number
  /** Rise of the line of lower ends from one string to the next shorter, m. */
  readonly rise: number
  readonly beyondBridge: readonly [treble: number, bass: number]
  readonly belowSpeaking: number
  readonly boardThickness: number
  readonly eyeletBore: number | null
  readonly postDiameter: number | null
  readonly bearing?: Bearing
  readonly stringsPerPiece: 1 | 2
  /** Strings lie over each other: wound on two feet, the shorter half on one; or crossing on a scroll. */
  readonly layered?: 'on two feet' | 'on a scroll'
  readonly pin: Omit<TuningPin, 'toBridge'>
  readonly lies: string
}

const NECK_PIN: Omit<TuningPin, 'toBridge'> = {
  setting: 'through the neck',
  turnedBy: 'key',
  diameter: 6.8 * mm,
  gearRatio: 1,
  tightens: 'clockwise',
  threadPitch: null,
  height: 12 * mm,
  heightDatum: 'string hole',
  holeToEnd: 5 * mm,
  bridgeHeight: 8.5 * mm,
}

const WREST_PIN: Omit<TuningPin, 'toBridge'> = {
  setting: 'upright',
  turnedBy: 'key',
  diameter: 5 * mm,
  gearRatio: 1,
  tightens: 'clockwise',
  threadPitch: 1.25 * mm,
  height: 20 * mm,
  heightDatum: 'top of pin',
  holeToEnd: 8 * mm,
  bridgeHeight: 10.5 * mm,
}

const LOWEST_OF_ALL = 'C-flat 0'

const TUCKED: HeadFastening = 'tail tucked, after half a turn'

const PLAIN: HeadFastening = 'plain becket'

const HARP = {
  coloured: true,
  spacing: 14 * mm,
  rise: 25 * mm,
  beyondBridge: [40 * mm, 90 * mm],
  belowSpeaking: 12 * mm,
  boardThickness: 7 * mm,
  eyeletBore: 2.8 * mm,
  postDiameter: null,
  stringsPerPiece: 1,
  pin: NECK_PIN,
} as const

const ZITHER = {
  coloured: false,
  mechanism: null,
  spacing: 17 * mm,
  rise: 14 * mm,
  beyondBridge: [30 * mm, 36 * mm],
  belowSpeaking: 28 * mm,
  boardThickness: 0,
  eyeletBore: null,
  postDiameter: 2.5 * mm,
  pin: WREST_PIN,
} as const

const WIRE_BASS: PresetSection = {
  downTo: LOWEST_OF_ALL,
  make: { wrap: 'copper', core: 'steel', coreDiameter: 0.7 * mm, bedding: 'silk' },
  tail: 'slip loop',
  head: PLAIN,
}

export const PRESETS: Record<Family, Preset> = {
  'pedal harp': {
    ...HARP,
    begins: { notes: 'C1 to G7', restTuning: 'C-flat major', tensionClass: 'concert' },
    usual: ['G7', 'C1'],
    mechanism: 'disc',
    pace: [
      [0, 195],
      [0.55, 122],
      [1, 46],
    ],
    tension: { treble: 46, bass: 280 },
    lies: 'upright on the floor, leaning against its stand',
    sections: [
      { downTo: 'F6', make: 'nylon 6.12', tail: 'two-loop, open bight', head: TUCKED },
      { downTo: 'A-flat 2', make: 'gut', tail: 'two-loop, open bight', head: PLAIN },
      WIRE_BASS,
    ],
  },
  'lever harp': {
    ...HARP,
    begins: { notes: 'C2 to C7', restTuning: 'E-flat major', tensionClass: 'lever' },
    usual: ['C7', 'C2'],
    mechanism: 'lever',
    pace: [
      [0, 150],
      [0.6, 128],
      [1, 78],
    ],
    tension: { treble: 42, bass: 135 },
    lies: 'on its side on a table, levers up',
    sections: [
      { downTo: 'A-flat 3', make: 'nylon 6.12', tail: 'half knot and anchor', head: TUCKED },
      {
        downTo: 'B-flat 2',
        make: { wrap: 'nylon 6.6', core: 'nylon 6.12', coreDiameter: 0.95 * mm, bedding: null },
        tail: 'two-loop, open bight',
        head: PLAIN,
      },
      {
        downTo: LOWEST_OF_ALL,
        make: { wrap: 'phosphor bronze', core: 'steel', coreDiameter: 0.42 * mm, bedding: 'silk' },
        tail: 'slip loop',
        head: PLAIN,
      },
    ],
  },
  'lap harp': {
    ...HARP,
    begins: { notes: 'C3 to C6', restTuning: 'C major', tensionClass: 'folk' },
    usual: ['C6', 'C3'],
    mechanism: null,
    spacing: 12 * mm,
    rise: 19 * mm,
    beyondBridge: [30 * mm, 48 * mm],
    eyeletBore: null,
    pace: [
      [0, 145],
      [1, 86],
    ],
    tension: { treble: 35, bass: 56 },
    lies: 'flat on its back on a cloth',
    sections: [
      { downTo: 'C3', make: 'nylon 6.12', tail: 'overhand on a bead', head: TUCKED },
      {
        downTo: LOWEST_OF_ALL,
        make: { wrap: 'nylon 6.6', core: 'nylon 6.12', coreDiameter: 0.85 * mm, bedding: null },
        tail: 'overhand on a bead',
        head: PLAIN,
      },
    ],
  },
  'wire-strung harp': {
    ...HARP,
    begins: { notes: 'G2 to D6', restTuning: 'G major', tensionClass: 'wire' },
    usual: ['D6', 'G2'],
    coloured: false,
    mechanism: null,
    spacing: 11.5 * mm,
    rise: 18 * mm,
    beyondBridge: [30 * mm, 52 * mm],
    eyeletBore: null,
    pace: [
      [0, 97],
      [1, 70],
    ],
    tension: { treble: 52, bass: 104 },
    lies: 'on its side on a blanket, string side up',
    sections: [
      { downTo: 'D5', make: 'steel', tail: 'slip knot on a toggle', head: PLAIN },
      { downTo: 'A3', make: 'brass', tail: 'slip knot on a toggle', head: PLAIN },
      { downTo: LOWEST_OF_ALL, make: 'phosphor bronze', tail: 'slip knot on a toggle', head: PLAIN },
    ],
  },
  'lap zither': {
    ...ZITHER,
    begins: {
      notes: 'D4 to D5',
      restTuning: 'G major',
      tensionClass: 'wire',
    },
    usual: ['D5', 'D4'],
    stringsPerPiece: 2,
    pace: [
      [0, 168],
      [1, 155],
    ],
    tension: { treble: 80, bass: 84 },
    lies: 'flat on a cloth on the table, pins away from you',
    sections: [{ downTo: LOWEST_OF_ALL, make: 'steel', tail: 'round two posts', head: PLAIN }],
  },
  'loop-end zither': {
    ...ZITHER,
    begins: { notes: 'D4 to A5', restTuning: 'D major', tensionClass: 'wire' },
    usual: ['A5', 'D4'],
    stringsPerPiece: 1,
    bearing: 'plain bridge',
    pace: [
      [0, 181],
      [1, 155],
    ],
    tension: { treble: 46, bass: 62 },
    lies: 'flat on a cloth on the table, pins to your right',
    sections: [{ downTo: LOWEST_OF_ALL, make: 'steel', tail: 'loop on a hitch pin', head: PLAIN }],
  },
  'long zither': {
    ...ZITHER,
    begins: { notes: 'A2 G2 E2 D2 C2 A1 G1', restTuning: 'C major', tensionClass: 'folk' },
    usual: ['A2', 'G1'],
    stringsPerPiece: 1,
    layered: 'on two feet',
    spacing: 20 * mm,
    rise: 0,
    belowSpeaking: 70 * mm,
    postDiameter: 18 * mm,
    pace: { alike: 1.09 },
    tension: { treble: 57, bass: 60 },
    lies: 'on its long edge against your body, feet toward you',
    pin: {
      ...NECK_PIN,
      turnedBy: 'hand',
      diameter: 9 * mm,
      height: 20 * mm,
      holeToEnd: 6 * mm,
      bridgeHeight: 10 * mm,
    },
    sections: [
      { downTo: 'G2', make: 'silk', tail: 'layered foot wrap', head: 'peg cord' },
      {
        downTo: LOWEST_OF_ALL,
        make: { wrap: 'copper', core: 'silk', coreDiameter: 0.66 * mm, bedding: null },
        tail: 'layered foot wrap',
        head: 'peg cord',
      },
    ],
  },
  'scroll-head zither': {
    ...ZITHER,
    begins: { notes: 'D4 D4 A3 D3', restTuning: 'D major', tensionClass: 'wire' },
    usual: ['D4', 'D3'],
    stringsPerPiece: 1,
    layered: 'on a scroll',
    rise: 0,
    belowSpeaking: 40 * mm,
    postDiameter: 2 * mm,
    pace: { alike: 0.69 },
    tension: { treble: 60, bass: 62 },
    lies: 'flat on your knees, scroll to your left',
    pin: {
      ...WREST_PIN,
      setting: 'across a scroll',
      turnedBy: 'knob',
      diameter: 6 * mm,
      gearRatio: 6,
      threadPitch: null,
      height: 9 * mm,
      heightDatum: 'string hole',
      holeToEnd: 12 * mm,
      bridgeHeight: 3 * mm,
    },
    sections: [
      { downTo: 'F3', make: 'steel', tail: 'loop on a hitch pin', head: PLAIN },
      {
        downTo: LOWEST_OF_ALL,
        make: { wrap: 'phosphor bronze', core: 'steel', coreDiameter: 0.32 * mm, bedding: null },
        tail: 'loop on a hitch pin',
        head: PLAIN,
      },
    ],
  },
  lyre: {
    ...HARP,
    begins: { notes: 'G3 to A4', restTuning: 'G major', tensionClass: 'folk' },
    usual: ['A4', 'G3'],
    coloured: false,
    mechanism: null,
    spacing: 13 * mm,
    rise: 0,
    beyondBridge: [26 * mm, 34 * mm],
    belowSpeaking: 62 * mm,
    boardThickness: 5 * mm,
    eyeletBore: 1.8 * mm,
    pace: [
      [0, 163],
      [1, 84],
    ],
    tension: { treble: 44, bass: 52 },
    lies: 'flat on its back on a cloth',
    pin: { ...NECK_PIN, diameter: 5 * mm, height: 11 * mm, holeToEnd: 4 * mm, bridgeHeight: 8 * mm },
    sections: [
      { downTo: LOWEST_OF_ALL, make: 'gut', tail: 'slip loop', head: 'tail tucked, after a quarter' },
    ],
  },
}

/** Tension of each family's shortest and longest strings, N: where to begin when nothing is known. */
export const USUAL_TENSION = Object.fromEntries(
  Object.entries(PRESETS).map(([family, { tension }]) => [family, tension]),
) as Readonly<Record<Family, UsualTension>>
