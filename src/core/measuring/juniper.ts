/** For tests: Juniper, an instrument of any family as its preset makes it. */
import type { Family } from '../instrument/family'
import type { Instrument, TensionClass } from '../instrument/instrument'
import { fromPreset } from '../instrument/presets'
import { readNotes } from '../instrument/read-notes'

export const juniper = (family: Family, notes: string, tensionClass: TensionClass = 'lever'): Instrument =>
  fromPreset({
    about: {
      name: 'Juniper',
      slug: 'juniper',
      family,
      maker: '',
      model: '',
      owner: '',
      tensionClass,
      restTuning: 'C major',
      referenceA: 440,
      strung: 'as usual',
    },
    notes: readNotes(notes),
    measured: new Map(),
  })
