/** Teasel: lap zither, eight steel wires that each go round two posts and come back: sixteen strings. */
import type { InstrumentDesign } from '@/core/instrument/design'
import { PLAIN_GAUGES } from '@/core/instrument/gauges-on-offer'
import { note, scaleDown } from '@/core/pitch/note'
import { ZITHER_PIN } from './pins'

const mm = 1e-3

export const teasel: InstrumentDesign = {
  about: {
    slug: 'teasel',
    name: 'Teasel',
    family: 'lap zither',
    maker: 'Quillet Row',
    model: 'Eight Pair',
    owner: 'Lantern Shelf, for the Walk Band',
    tensionClass: 'wire',
    restTuning: 'G major',
    referenceA: 440,
    lies: 'flat on a cloth on the table, pins away from you',
  },
  notes: scaleDown(note('D', 5), note('D', 4)),
  stringsPerPiece: 2,
  lengths: [
    [1, 0.287],
    [4.5, 0.392],
    [8, 0.53],
  ],
  tensions: [
    [1, 80],
    [8, 84],
  ],
  sections: [
    {
      upTo: 8,
      make: { kind: 'plain', material: 'steel', gauges: PLAIN_GAUGES.steel },
      tail: 'round two posts',
      head: 'plain becket',
    },
  ],
  coloured: false,
  mechanism: null,
  spacing: [
    [1, 16 * mm],
    [8, 16 * mm],
  ],
  pairGap: 8 * mm,
  lowerLine: [
    [1, 0.105],
    [8, 0],
  ],
  beyondBridge: [
    [1, 26 * mm],
    [8, 30 * mm],
  ],
  stagger: 14 * mm,
  belowSpeaking: 26 * mm,
  boardThickness: 0,
  eyeletBores: null,
  postDiameter: 3 * mm,
  pin: ZITHER_PIN,
  coverings: [],
}
