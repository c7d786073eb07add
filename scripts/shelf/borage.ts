/** Borage: lyre of 9 gut strings, knotted behind a tailpiece. */
import type { InstrumentDesign } from '@/core/instrument/design'
import { PLAIN_GAUGES } from '@/core/instrument/gauges-on-offer'
import { note, scaleDown } from '@/core/pitch/note'
import { SMALL_PIN } from './pins'

const mm = 1e-3

export const borage: InstrumentDesign = {
  about: {
    slug: 'borage',
    name: 'Borage',
    family: 'lyre',
    maker: 'Nettlebank Kits',
    model: 'Nine',
    owner: 'Lantern Shelf, for the Story Circle',
    tensionClass: 'folk',
    restTuning: 'G major',
    referenceA: 440,
    lies: 'flat on its back on a cloth',
  },
  notes: scaleDown(note('A', 4), note('G', 3)),
  stringsPerPiece: 1,
  lengths: [
    [1, 0.372],
    [5, 0.402],
    [9, 0.43],
  ],
  tensions: [
    [1, 44],
    [9, 52],
  ],
  sections: [
    {
      upTo: 9,
      make: { kind: 'plain', material: 'gut', gauges: PLAIN_GAUGES.gut },
      tail: 'slip loop',
      head: 'tail tucked, after a quarter',
    },
  ],
  coloured: false,
  mechanism: null,
  spacing: [
    [1, 13 * mm],
    [9, 13 * mm],
  ],
  pairGap: 0,
  lowerLine: [
    [1, 0],
    [9, 0],
  ],
  beyondBridge: [
    [1, 26 * mm],
    [9, 34 * mm],
  ],
  stagger: 0,
  belowSpeaking: 62 * mm,
  boardThickness: 5 * mm,
  eyeletBores: [
    [1, 1.6 * mm],
    [9, 2 * mm],
  ],
  postDiameter: null,
  pin: SMALL_PIN,
  coverings: [],
}
