import { fromPreset, readNotes } from '@/core/instrument/presets'
import { readLengths } from '@/core/instrument/read-lengths'
import { store } from '@/data/database'
import { handle } from '@/data/http/handle'
import { houseSettings } from '@/data/house'
import { putOnShelf } from '@/data/put-on-shelf'
import { NewInstrumentRequest } from '@/features/new-instrument/requests'

/** Adds an instrument from its family's preset. */
export function POST(request: Request) {
  return handle(request, NewInstrumentRequest, ({ notes, lengths, ...about }) =>
    putOnShelf(
      store(),
      fromPreset(
        {
          about: { ...about, slug: 'new', referenceA: 440 },
          notes: readNotes(notes),
          measured: readLengths(lengths, houseSettings(store()).unit),
        },
        houseSettings(store()).habits.gutTop,
      ),
    ),
  )
}
