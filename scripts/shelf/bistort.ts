/** Bistort: loop-end zither of 12 steel strings on hitch pins. */
import type { InstrumentDesign } from '@/core/instrument/design'
import { PLAIN_GAUGES } from '@/core/instrument/gauges-on-offer'
import { note, scaleDown } from '@/core/pitch/note'
import { ZITHER_PIN } from './pins'

const mm = 1e-3

export const bistort: InstrumentDesign = {
  about: {
    slug: 'bistort',
    name: 'Bistort',
    family: 'loop-end zither',
    maker: 'Quillet Row',
    model: 'Table 12',
    owner: 'Lantern Shelf, for Mill Lane School',
    tensionClass: 'wire',
    restTuning: 'D major',
    referenceA: 440,
    lies: 'flat on a cloth on the table, pins to your right',
  },
  notes: scaleDown(note('A', 5), note('D', 4)),
  stringsPerPiece: 1,
  lengths: [
    [1, 0.206],
    [5, 0.312],
    [9, 0.43],
    [12, 0.53],
  ],
  tensions: [
    [1, 46],
    [6, 54],
    [12, 62],
  ],
  sections: [
    {
      upTo: 12,
      make: { kind: 'plain', material: 'steel', gauges: PLAIN_GAUGES.steel },
      tail: 'loop on a hitch pin',
      head: 'plain becket',
    },
  ],
  coloured: false,
  mechanism: null,
  spacing: [
    [1, 17 * mm],
    [12, 18 * mm],
  ],
  pairGap: 0,
  lowerLine: [
    [1, 0.16],
    [12, 0],
  ],
  beyondBridge: [
    [1, 32 * mm],
    [12, 40 * mm],
  ],
  stagger: 0,
  belowSpeaking: 30 * mm,
  boardThickness: 0,
  eyeletBores: null,
  postDiameter: 2.5 * mm,
  bearing: 'plain bridge',
  pin: { ...ZITHER_PIN, diameter: 4.8 * mm },
  coverings: [],
}
