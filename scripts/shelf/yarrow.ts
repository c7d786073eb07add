/** Yarrow: long zither of 7 strings, 1 the lowest and outermost; the four low ones layered on one foot, the three high on the other; silk. */
import type { InstrumentDesign } from '@/core/instrument/design'
import { PLAIN_GAUGES } from '@/core/instrument/gauges-on-offer'
import { note } from '@/core/pitch/note'

const mm = 1e-3

export const yarrow: InstrumentDesign = {
  about: {
    slug: 'yarrow',
    name: 'Yarrow',
    family: 'long zither',
    maker: 'Still Water Workshop',
    model: 'Seven, long',
    owner: 'Lantern Shelf, for the Garden Players',
    tensionClass: 'folk',
    restTuning: 'C major',
    referenceA: 440,
    lies: 'on its long edge against your body, feet toward you',
  },
  // Silk, a fourth below metal strings.
  notes: [note('A', 2), note('G', 2), note('E', 2), note('D', 2), note('C', 2), note('A', 1), note('G', 1)],
  stringsPerPiece: 1,
  lengths: [
    [1, 1.082],
    [7, 1.094],
  ],
  tensions: [
    [1, 42],
    [7, 46],
  ],
  // The lowest is the thickest, as its players know it.
  sections: [
    {
      upTo: 7,
      make: { kind: 'plain', material: 'silk', gauges: PLAIN_GAUGES.silk },
      tail: 'layered foot wrap',
      head: 'peg cord',
    },
  ],
  coloured: false,
  mechanism: null,
  spacing: [
    [1, 20 * mm],
    [7, 20 * mm],
  ],
  pairGap: 0,
  lowerLine: [
    [1, 0],
    [7, 0],
  ],
  beyondBridge: [
    [1, 34 * mm],
    [7, 34 * mm],
  ],
  stagger: 0,
  belowSpeaking: 70 * mm,
  boardThickness: 0,
  eyeletBores: null,
  postDiameter: 18 * mm,
  pin: {
    setting: 'through the neck',
    turnedBy: 'hand',
    diameter: 9 * mm,
    gearRatio: 1,
    tightens: 'clockwise',
    threadPitch: null,
    height: 20 * mm,
    heightDatum: 'string hole',
    holeToEnd: 6 * mm,
    bridgeHeight: 10 * mm,
  },
  // The highest string of each foot is wound on last and lies over the others.
  coverings: [
    { over: 1, under: 2 },
    { over: 2, under: 3 },
    { over: 4, under: 5 },
    { over: 5, under: 6 },
    { over: 6, under: 7 },
  ],
}
