/** Orris: scroll-head zither of 4 strings in 3 courses, loop ends below and geared cross pins above. */
import type { InstrumentDesign } from '@/core/instrument/design'
import { FINE_WRAP_GAUGES, PLAIN_GAUGES } from '@/core/instrument/gauges-on-offer'
import { note } from '@/core/pitch/note'

const mm = 1e-3

export const orris: InstrumentDesign = {
  about: {
    slug: 'orris',
    name: 'Orris',
    family: 'scroll-head zither',
    maker: 'Quillet Row',
    model: 'Scroll Four',
    owner: 'Lantern Shelf, for loan',
    tensionClass: 'wire',
    restTuning: 'D major',
    referenceA: 440,
    lies: 'flat on your knees, scroll to your left',
  },
  notes: [note('D', 4), note('D', 4), note('A', 3), note('D', 3)],
  stringsPerPiece: 1,
  roles: ['first melody', 'second melody', 'middle', 'bass'],
  lengths: [
    [1, 0.685],
    [4, 0.69],
  ],
  tensions: [
    [1, 62],
    [2, 62],
    [3, 58],
    [4, 62],
  ],
  sections: [
    {
      upTo: 3,
      make: { kind: 'plain', material: 'steel', gauges: PLAIN_GAUGES.steel },
      tail: 'loop on a hitch pin',
      head: 'plain becket',
    },
    {
      upTo: 4,
      tail: 'loop on a hitch pin',
      head: 'plain becket',
      make: {
        kind: 'wound',
        core: 'steel',
        coreDiameters: [
          [3, 0.32 * mm],
          [4, 0.32 * mm],
        ],
        bedding: null,
        wrap: 'phosphor bronze',
        wraps: FINE_WRAP_GAUGES,
      },
    },
  ],
  coloured: false,
  mechanism: null,
  spacing: [
    [1, 4 * mm],
    [2, 17 * mm],
    [4, 17 * mm],
  ],
  pairGap: 0,
  lowerLine: [
    [1, 0],
    [4, 0],
  ],
  beyondBridge: [
    [1, 30 * mm],
    [2, 54 * mm],
    [3, 66 * mm],
    [4, 42 * mm],
  ],
  stagger: 0,
  belowSpeaking: 40 * mm,
  boardThickness: 0,
  eyeletBores: null,
  postDiameter: 2 * mm,
  pin: {
    setting: 'across a scroll',
    turnedBy: 'knob',
    diameter: 6 * mm,
    gearRatio: 6,
    tightens: 'clockwise',
    threadPitch: null,
    height: 9 * mm,
    heightDatum: 'string hole',
    holeToEnd: 12 * mm,
    bridgeHeight: 3 * mm,
  },
  // A string on its way to a pin further up the scroll passes over the pin before it: first melody, bass, second melody, middle.
  coverings: [
    { over: 4, under: 1 },
    { over: 2, under: 4 },
    { over: 3, under: 2 },
  ],
}
