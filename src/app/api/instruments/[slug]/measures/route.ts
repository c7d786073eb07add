import { handle } from '@/app/api/handle'
import { lengthOf } from '@/boundary/length-text'
import { InstrumentMeasureRequest } from '@/boundary/requests/measuring'
import { measureInstrument } from '@/data/instruments/measure-instrument'
import { withUnit } from '@/core/strings/written-lengths'
import { store } from '@/data/store/database'

interface Path {
  readonly params: Promise<{ slug: string }>
}

export async function POST(request: Request, { params }: Path) {
  const { slug } = await params
  return handle(request, InstrumentMeasureRequest, ({ key, value, unit }) =>
    measureInstrument(store(), slug, key, lengthOf(value, unit), withUnit(value, unit)),
  )
}
