/** Sorrel: lever harp of 36 strings, gut over wire. */
import type { InstrumentDesign } from '@/core/instrument/design'
import { PLAIN_GAUGES, WRAP_GAUGES } from '@/core/instrument/gauges-on-offer'
import { note, scaleDown } from '@/core/pitch/note'
import { HARP_PIN } from './pins'

const mm = 1e-3

export const sorrel: InstrumentDesign = {
  about: {
    slug: 'sorrel',
    name: 'Sorrel',
    family: 'lever harp',
    maker: 'Hob & Daughter',
    model: 'Hearth 36',
    owner: 'Lantern Shelf, for the Youth Harps',
    tensionClass: 'lever',
    restTuning: 'E-flat major',
    referenceA: 440,
    lies: 'on its side on a table, levers up',
  },
  notes: scaleDown(note('C', 7), note('C', 2)),
  stringsPerPiece: 1,
  lengths: [
    [1, 0.076],
    [8, 0.146],
    [15, 0.277],
    [22, 0.5],
    [28, 0.82],
    [31, 0.98],
    [36, 1.17],
  ],
  tensions: [
    [1, 40],
    [8, 50],
    [15, 66],
    [22, 94],
    [31, 138],
    [32, 140],
    [36, 152],
  ],
  sections: [
    {
      upTo: 15,
      make: { kind: 'plain', material: 'gut', gauges: PLAIN_GAUGES.gut },
      tail: 'third loop',
      head: 'tail tucked, after half a turn',
    },
    {
      upTo: 31,
      make: { kind: 'plain', material: 'gut', gauges: PLAIN_GAUGES.gut },
      tail: 'two-loop, open bight',
      head: 'plain becket',
    },
    {
      upTo: 36,
      tail: 'slip loop',
      head: 'plain becket',
      make: {
        kind: 'wound',
        core: 'steel',
        coreDiameters: [
          [32, 0.4 * mm],
          [36, 0.5 * mm],
        ],
        bedding: { material: 'silk', thickness: 0.06 * mm },
        wrap: 'phosphor bronze',
        wraps: WRAP_GAUGES,
      },
    },
  ],
  coloured: true,
  mechanism: 'lever',
  spacing: [
    [1, 12.6 * mm],
    [36, 15.4 * mm],
  ],
  pairGap: 0,
  lowerLine: [
    [1, 0.88],
    [12, 0.64],
    [24, 0.3],
    [36, 0],
  ],
  beyondBridge: [
    [1, 40 * mm],
    [18, 60 * mm],
    [36, 88 * mm],
  ],
  stagger: 0,
  belowSpeaking: 12 * mm,
  boardThickness: 7 * mm,
  eyeletBores: [
    [1, 2.2 * mm],
    [31, 3.2 * mm],
    [36, 3 * mm],
  ],
  postDiameter: null,
  pin: { ...HARP_PIN, diameter: 6.8 * mm },
  coverings: [],
}
