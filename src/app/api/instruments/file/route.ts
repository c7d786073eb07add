import { store } from '@/data/store/database'
import { handle } from '@/app/api/handle'
import { fromInstrumentFile } from '@/data/instruments/instrument-file'
import { putOnShelf } from '@/data/instruments/put-on-shelf'
import { Refusal } from '@/boundary/refusal'
import { InstrumentFileRequest } from '@/boundary/requests/new-instrument'

/** Adds an instrument from its open file. */
export function POST(request: Request) {
  return handle(request, InstrumentFileRequest, ({ text }) =>
    putOnShelf(store(), fromInstrumentFile(parsed(text))),
  )
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text.replace(/^\uFEFF/, ''))
  } catch {
    throw new Refusal(400, 'The file is not JSON.', 'file')
  }
}
