/** Lovage: pedal harp of 47 strings, concert tension. Targets in, gauges out. */
import type { InstrumentDesign } from '@/core/instrument/design'
import { PLAIN_GAUGES, WRAP_GAUGES } from '@/core/instrument/gauges-on-offer'
import { note, scaleDown } from '@/core/pitch/note'
import { HARP_PIN } from './pins'

const mm = 1e-3

export const lovage: InstrumentDesign = {
  about: {
    slug: 'lovage',
    name: 'Lovage',
    family: 'pedal harp',
    maker: 'Windrush Bench',
    model: 'Great Lantern 47',
    owner: 'Lantern Shelf, for the Town Orchestra',
    tensionClass: 'concert',
    restTuning: 'C-flat major',
    referenceA: 440,
    lies: 'upright on the floor, leaning against its stand',
  },
  notes: scaleDown(note('G', 7), note('C', 1)),
  stringsPerPiece: 1,
  lengths: [
    [1, 0.066],
    [5, 0.094],
    [10, 0.127],
    [12, 0.15],
    [19, 0.267],
    [26, 0.472],
    [33, 0.842],
    [36, 1.05],
    [40, 1.29],
    [44, 1.43],
    [47, 1.5],
  ],
  tensions: [
    [1, 46],
    [5, 49],
    [9, 54],
    [10, 60],
    [12, 66],
    [19, 86],
    [26, 124],
    [33, 214],
    [35, 268],
    [36, 262],
    [42, 288],
    [47, 276],
  ],
  sections: [
    {
      upTo: 9,
      make: { kind: 'plain', material: 'nylon 6.12', gauges: PLAIN_GAUGES['nylon 6.12'] },
      asks: 'Dapple Works Clear line',
      tail: 'third loop',
      head: 'tail tucked, after half a turn',
    },
    {
      upTo: 26,
      asks: 'Fold & Fell Amber twist',
      make: { kind: 'plain', material: 'gut', gauges: PLAIN_GAUGES.gut },
      tail: 'two-loop, open bight',
      head: 'plain becket',
    },
    {
      upTo: 35,
      asks: 'Fold & Fell Dark bass',
      make: { kind: 'plain', material: 'gut', gauges: PLAIN_GAUGES.gut },
      tail: 'two-loop, crossed',
      head: 'plain becket',
    },
    {
      upTo: 47,
      tail: 'slip loop',
      head: 'plain becket',
      make: {
        kind: 'wound',
        core: 'steel',
        coreDiameters: [
          [36, 0.6 * mm],
          [47, 0.9 * mm],
        ],
        bedding: { material: 'silk', thickness: 0.1 * mm },
        wrap: 'copper',
        wraps: WRAP_GAUGES,
      },
    },
  ],
  coloured: true,
  mechanism: 'disc',
  spacing: [
    [1, 13.2 * mm],
    [20, 14.4 * mm],
    [46, 16.6 * mm],
  ],
  pairGap: 0,
  lowerLine: [
    [1, 1.19],
    [12, 0.93],
    [26, 0.56],
    [40, 0.17],
    [47, 0],
  ],
  beyondBridge: [
    [1, 42 * mm],
    [12, 58 * mm],
    [26, 78 * mm],
    [40, 104 * mm],
    [47, 112 * mm],
  ],
  stagger: 0,
  belowSpeaking: 14 * mm,
  boardThickness: 9 * mm,
  eyeletBores: [
    [1, 2.4 * mm],
    [20, 2.8 * mm],
    [35, 3.6 * mm],
    [47, 3.2 * mm],
  ],
  postDiameter: null,
  pin: HARP_PIN,
  coverings: [],
}
