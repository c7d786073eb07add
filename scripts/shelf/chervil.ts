/** Chervil: lap harp of 22 nylon strings, each knotted behind a bead. */
import type { InstrumentDesign } from '@/core/instrument/design'
import { PLAIN_GAUGES } from '@/core/instrument/gauges-on-offer'
import { note, scaleDown } from '@/core/pitch/note'
import { SMALL_PIN } from './pins'

const mm = 1e-3

export const chervil: InstrumentDesign = {
  about: {
    slug: 'chervil',
    name: 'Chervil',
    family: 'lap harp',
    maker: 'Nettlebank Kits',
    model: 'Lap 22',
    owner: 'Lantern Shelf, for loan',
    tensionClass: 'folk',
    restTuning: 'C major',
    referenceA: 440,
    lies: 'flat on its back on a cloth',
  },
  notes: scaleDown(note('C', 6), note('C', 3)),
  stringsPerPiece: 1,
  lengths: [
    [1, 0.138],
    [8, 0.252],
    [15, 0.432],
    [22, 0.665],
  ],
  tensions: [
    [1, 34],
    [8, 42],
    [15, 50],
    [22, 56],
  ],
  sections: [
    {
      upTo: 22,
      make: { kind: 'plain', material: 'nylon 6.12', gauges: PLAIN_GAUGES['nylon 6.12'] },
      tail: 'overhand on a bead',
      head: 'tail tucked, after half a turn',
    },
  ],
  coloured: true,
  mechanism: null,
  spacing: [
    [1, 11 * mm],
    [22, 13 * mm],
  ],
  pairGap: 0,
  lowerLine: [
    [1, 0.4],
    [11, 0.19],
    [22, 0],
  ],
  beyondBridge: [
    [1, 30 * mm],
    [22, 48 * mm],
  ],
  stagger: 0,
  belowSpeaking: 7 * mm,
  boardThickness: 4 * mm,
  eyeletBores: null,
  postDiameter: null,
  pin: SMALL_PIN,
  coverings: [],
}
