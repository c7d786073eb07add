import { store } from '@/data/database'
import { handle } from '@/data/http/handle'
import { fromInstrumentFile } from '@/data/instrument-file'
import { putOnShelf } from '@/data/put-on-shelf'
import { Refusal } from '@/data/refusal'
import { InstrumentFileRequest } from '@/features/new-instrument/requests'

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
