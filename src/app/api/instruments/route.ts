import { fromPreset } from '@/core/instrument/presets'
import { readNotes } from '@/core/instrument/read-notes'
import { readLengths } from '@/core/instrument/read-lengths'
import { measuredPieces } from '@/core/measuring/quantity'
import { store } from '@/data/store/database'
import { handle } from '@/app/api/handle'
import { houseSettings } from '@/data/house/house'
import { putOnShelf } from '@/data/instruments/put-on-shelf'
import { NewInstrumentRequest, stringsOn } from '@/boundary/requests/new-instrument'

/** Adds an instrument from its family's preset. */
export function POST(request: Request) {
  return handle(request, NewInstrumentRequest, ({ notes, lengths, on, year, ...about }) => {
    const { unit, referenceA, habits } = houseSettings(store())
    const measured = readLengths(lengths, unit)
    const instrument = fromPreset(
      { about: { ...about, slug: 'new', referenceA }, notes: readNotes(notes), measured },
      habits.gutTop,
    )
    const known = { measured: measuredPieces(instrument, [...measured.keys()]), hardware: new Map() }
    return putOnShelf(store(), instrument, known, stringsOn({ on, year }))
  })
}
