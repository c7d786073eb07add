/**
 * A new instrument from its family, its notes and what is measured of it.
 */
import { itemAt } from '../list/item-at'
import { letterStep, note, semitoneNumber, type Note } from '../pitch/note'
import { parseNote } from '../pitch/parse-note'
import { designInstrument, type InstrumentDesign, type SectionDesign } from './design'
import { FINE_WRAP_GAUGES, PLAIN_GAUGES, WRAP_GAUGES } from './gauges-on-offer'
import type { Covering, Instrument } from './instrument'
import { monotoneCurve, type Control } from './monotone-curve'
import { mm, type PresetSection, type Preset, PRESETS } from './preset-families'

/** What the top of a harp strung with gut has: as the family usually does, or as the house would have it. */
export type HarpTop = 'as charted' | 'nylon' | 'gut'

export interface NewInstrument {
  readonly about: Omit<InstrumentDesign['about'], 'lies'>
  /** Letters and octaves, shortest first; the rest tuning gives the accidentals. */
  readonly notes: readonly Note[]
  /** Speaking lengths measured on it, by number of the piece from the top, m. */
  readonly measured: ReadonlyMap<number, number>
}

/**
 * Designs an instrument from its family's preset, its lengths drawn through those that were measured.
 *
 * @param top - whether gut goes through to the shortest string
 * @throws RangeError with a sentence that can be shown, when a measured length is of no string or they don't fall toward the treble
 */
export function fromPreset(
  { about, notes, measured }: NewInstrument,
  top: HarpTop = 'as charted',
): Instrument {
  const preset = PRESETS[about.family]
  const lengths = lengthsOf(preset, notes, about.referenceA, measured)
  const count = notes.length
  const numbered = (treble: number, bass: number): readonly Control[] => [
    [1, treble],
    [Math.max(2, count), bass],
  ]
  const design: InstrumentDesign = {
    about: { ...about, lies: preset.lies },
    notes,
    stringsPerPiece: preset.stringsPerPiece,
    lengths: [...lengths, ...(count === 1 ? lengths : [])].map((length, i): Control => [i + 1, length]),
    tensions: numbered(preset.tension.treble, preset.tension.bass),
    sections: sectionsOf(preset, notes, top),
    eachGaugeAlone: goesUpAndDown(notes),
    coloured: preset.coloured,
    mechanism: preset.mechanism,
    spacing: numbered(preset.spacing, preset.spacing * 1.1),
    pairGap: preset.stringsPerPiece === 2 ? 8 * mm : 0,
    lowerLine: numbered(preset.rise * (count - 1), 0),
    beyondBridge: numbered(...preset.beyondBridge),
    stagger: 0,
    belowSpeaking: preset.belowSpeaking,
    boardThickness: preset.boardThickness,
    eyeletBores: preset.eyeletBore === null ? null : numbered(preset.eyeletBore, preset.eyeletBore),
    postDiameter: preset.postDiameter,
    ...(preset.bearing ? { bearing: preset.bearing } : {}),
    pin: preset.pin,
    coverings: coveringsOf(preset, count),
  }
  return designInstrument(design)
}

/**
 * What lies over what: on each of two feet the shortest string is wound on last and lies over the others; on a scroll a
 * string on its way to a pin further up passes over the pin before it.
 */
function coveringsOf({ layered }: Preset, count: number): readonly Covering[] {
  if (layered === undefined) return []
  const pairs = Array.from({ length: count - 1 }, (_, i) => i + 1)
  if (layered === 'on a scroll') return pairs.map((i) => ({ over: i + 1, under: i }))
  const first = Math.floor(count / 2)
  return pairs.filter((i) => i !== first).map((i) => ({ over: i, under: i + 1 }))
}

/** Pitch as if the seven steps of an octave were alike, Hz: a neck is a smooth curve, whatever the tones and semitones. */
function evenPitch(n: Note, referenceA: number): number {
  return referenceA * 2 ** ((letterStep(n) - letterStep(note('A', 4))) / 7)
}

/** The preset's lengths, stretched by what the measured ones say: the ratio runs evenly from one measured string to the next. */
function lengthsOf(
  { pace, usual: range }: Preset,
  notes: readonly Note[],
  referenceA: number,
  measured: ReadonlyMap<number, number>,
): readonly number[] {
  const count = notes.length
  const [top, bottom] = range.map((name) => letterStep(parseNote(name))) as [number, number]
  // A smaller instrument has the part of its family's curve that its notes lie on.
  const place = (n: Note) => Math.min(1, Math.max(0, (top - letterStep(n)) / (top - bottom)))
  const curve = 'alike' in pace ? null : monotoneCurve(pace.map(([at, p]) => [at, Math.log(p)] as const))
  const byPitch = notes.map((n, i) =>
    'alike' in pace ? pace.alike + i * 0.5 * mm : Math.exp(curve!(place(n))) / evenPitch(n, referenceA),
  )
  // Where notes go up and down across the board, its shape decides the lengths: they still run from short to long.
  const isMixed = goesUpAndDown(notes)
  const usual = isMixed ? [...byPitch].sort((a, b) => a - b) : byPitch
  const ratios = [...measured]
    .sort(([a], [b]) => a - b)
    .map(([number, length]): Control => {
      const expected = usual[number - 1]
      if (expected === undefined)
        throw new RangeError(`There is no string ${number} to have a length; there are ${count}.`)
      return [number, Math.log(length / expected)]
    })
  const [only] = ratios
  const ratio = ratios.length > 1 ? monotoneCurve(ratios) : () => only?.[1] ?? 0
  const lengths = usual.map((length, i) => length * Math.exp(ratio(i + 1)))
  // A melody string over frets is longer than the open strings beside it: what was measured there is no slip.
  const falls = isMixed
    ? -1
    : lengths.findIndex((length, i) => i > 0 && length < itemAt(lengths, i - 1) * 0.9999)
  if (falls > 0)
    throw new RangeError(
      `String ${falls + 1} would come out shorter than string ${falls}: look at the lengths measured near it.`,
    )
  return lengths
}

/** Whether notes rise and fall across the board: melody strings beside open ones, courses out of order. */
function goesUpAndDown(notes: readonly Note[]): boolean {
  const steps = notes.slice(1).map((n, i) => semitoneNumber(n) - semitoneNumber(itemAt(notes, i)))
  return steps.some((step) => step > 0) && steps.some((step) => step < 0)
}

function sectionsOf({ sections }: Preset, notes: readonly Note[], top: HarpTop): readonly SectionDesign[] {
  const gut = sections.findIndex(({ make }) => make === 'gut')
  // Gut to the top: what lies above the gut section is gut as well.
  const through = top === 'gut' && gut > 0 ? sections.slice(gut) : sections
  return through.flatMap(({ downTo, make, tail, head }): SectionDesign[] => {
    const lowest = semitoneNumber(parseNote(downTo))
    const upTo = notes.filter((n) => semitoneNumber(n) >= lowest).length
    return upTo === 0 ? [] : [{ upTo, tail, head, make: makeOf(make, notes.length) }]
  })
}

function makeOf(make: PresetSection['make'], count: number): SectionDesign['make'] {
  if (typeof make === 'string') return { kind: 'plain', material: make, gauges: PLAIN_GAUGES[make] }
  return {
    kind: 'wound',
    core: make.core,
    wrap: make.wrap,
    bedding: make.bedding ? { material: make.bedding, thickness: 0.08 * mm } : null,
    coreDiameters: [
      [1, make.coreDiameter],
      [count + 1, make.coreDiameter],
    ],
    wraps:
      make.coreDiameter < 0.75 * mm
        ? [...FINE_WRAP_GAUGES, ...WRAP_GAUGES].sort((a, b) => a - b)
        : WRAP_GAUGES,
  }
}
