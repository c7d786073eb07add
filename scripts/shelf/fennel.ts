/** Fennel: lever harp of 31 strings, nylon over wound nylon over wire. */
import type { InstrumentDesign } from '@/core/instrument/design'
import { PLAIN_GAUGES, WRAP_GAUGES } from '@/core/instrument/gauges-on-offer'
import { note, scaleDown } from '@/core/pitch/note'
import { HARP_PIN } from './pins'

const mm = 1e-3

export const fennel: InstrumentDesign = {
  about: {
    slug: 'fennel',
    name: 'Fennel',
    family: 'lever harp',
    maker: 'Hob & Daughter',
    model: 'Hearth 31',
    owner: 'Lantern Shelf, for Mill Lane School',
    tensionClass: 'lever',
    restTuning: 'E-flat major',
    referenceA: 440,
    lies: 'on its side on a table, levers up',
  },
  notes: scaleDown(note('G', 6), note('E', 2)),
  stringsPerPiece: 1,
  lengths: [
    [1, 0.094],
    [5, 0.15],
    [12, 0.278],
    [19, 0.486],
    [22, 0.6],
    [26, 0.79],
    [29, 0.93],
    [31, 1.01],
  ],
  tensions: [
    [1, 42],
    [5, 48],
    [12, 62],
    [19, 86],
    [21, 92],
    [22, 92],
    [27, 112],
    [28, 118],
    [31, 124],
  ],
  sections: [
    {
      upTo: 21,
      make: { kind: 'plain', material: 'nylon 6.12', gauges: PLAIN_GAUGES['nylon 6.12'] },
      tail: 'half knot and anchor',
      head: 'tail tucked, after half a turn',
    },
    {
      upTo: 27,
      tail: 'two-loop, open bight',
      head: 'plain becket',
      make: {
        kind: 'wound',
        core: 'nylon 6.12',
        coreDiameters: [
          [22, 0.85 * mm],
          [27, 1.05 * mm],
        ],
        bedding: null,
        wrap: 'nylon 6.6',
        wraps: WRAP_GAUGES,
      },
    },
    {
      upTo: 31,
      tail: 'slip loop',
      head: 'plain becket',
      make: {
        kind: 'wound',
        core: 'steel',
        coreDiameters: [
          [28, 0.4 * mm],
          [31, 0.45 * mm],
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
    [1, 12.4 * mm],
    [31, 15 * mm],
  ],
  pairGap: 0,
  lowerLine: [
    [1, 0.74],
    [12, 0.47],
    [22, 0.2],
    [31, 0],
  ],
  beyondBridge: [
    [1, 38 * mm],
    [16, 56 * mm],
    [31, 78 * mm],
  ],
  stagger: 0,
  belowSpeaking: 11 * mm,
  boardThickness: 6 * mm,
  eyeletBores: [
    [1, 2.2 * mm],
    [31, 3 * mm],
  ],
  postDiameter: null,
  pin: { ...HARP_PIN, diameter: 6.4 * mm, height: 12 * mm },
  coverings: [],
}
