/** Bryony: wire-strung harp of 26 strings, steel over brass over bronze, each drawn up on a toggle. */
import type { InstrumentDesign } from '@/core/instrument/design'
import { PLAIN_GAUGES } from '@/core/instrument/gauges-on-offer'
import { note, scaleDown } from '@/core/pitch/note'
import { HARP_PIN } from './pins'

const mm = 1e-3

export const bryony: InstrumentDesign = {
  about: {
    slug: 'bryony',
    name: 'Bryony',
    family: 'wire-strung harp',
    maker: 'Windrush Bench',
    model: 'Ford 26',
    owner: 'Lantern Shelf, for the Walk Band',
    tensionClass: 'wire',
    restTuning: 'G major',
    referenceA: 440,
    lies: 'on its side on a blanket, string side up',
  },
  notes: scaleDown(note('D', 6), note('G', 2)),
  stringsPerPiece: 1,
  lengths: [
    [1, 0.083],
    [8, 0.158],
    [13, 0.244],
    [18, 0.372],
    [23, 0.57],
    [26, 0.71],
  ],
  tensions: [
    [1, 52],
    [8, 62],
    [9, 64],
    [18, 80],
    [19, 82],
    [26, 104],
  ],
  sections: [
    {
      upTo: 8,
      make: { kind: 'plain', material: 'steel', gauges: PLAIN_GAUGES.steel },
      tail: 'slip knot on a toggle',
      head: 'plain becket',
    },
    {
      upTo: 18,
      make: { kind: 'plain', material: 'brass', gauges: PLAIN_GAUGES.brass },
      tail: 'slip knot on a toggle',
      head: 'plain becket',
    },
    {
      upTo: 26,
      make: { kind: 'plain', material: 'phosphor bronze', gauges: PLAIN_GAUGES['phosphor bronze'] },
      tail: 'slip knot on a toggle',
      head: 'plain becket',
    },
  ],
  coloured: false,
  mechanism: null,
  spacing: [
    [1, 10.5 * mm],
    [26, 12.5 * mm],
  ],
  pairGap: 0,
  lowerLine: [
    [1, 0.46],
    [10, 0.27],
    [18, 0.12],
    [26, 0],
  ],
  beyondBridge: [
    [1, 30 * mm],
    [26, 52 * mm],
  ],
  stagger: 0,
  belowSpeaking: 9 * mm,
  boardThickness: 8 * mm,
  eyeletBores: null,
  postDiameter: null,
  pin: { ...HARP_PIN, diameter: 6.2 * mm, height: 11 * mm, bridgeHeight: 8 * mm },
  coverings: [],
}
