import { fromPreset } from '@/core/instrument/presets'
import { readNotes } from '@/core/instrument/read-notes'
import { readLengths } from '@/core/instrument/read-lengths'
import { store } from '@/data/store/database'
import { handle } from '@/app/api/handle'
import { houseSettings } from '@/data/house/house'
import { putOnShelf } from '@/data/instruments/put-on-shelf'
import { NewInstrumentRequest } from '@/boundary/requests/new-instrument'

/** Adds an instrument from its family's preset. */
export function POST(request: Request) {
  return handle(request, NewInstrumentRequest, ({ notes, lengths, ...about }) =>
    putOnShelf(
      store(),
      fromPreset(
        {
          about: { ...about, slug: 'new', referenceA: houseSettings(store()).referenceA },
          notes: readNotes(notes),
          measured: readLengths(lengths, houseSettings(store()).unit),
        },
        houseSettings(store()).habits.gutTop,
      ),
    ),
  )
}
