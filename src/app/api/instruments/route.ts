import { fromPreset } from '@/core/instrument/presets'
import { lengthsTold, withChart } from '@/core/instrument/with-chart'
import { readNotes } from '@/core/instrument/read-notes'
import { readLengths } from '@/core/instrument/read-lengths'
import { CHART_ERRORS, measuredPieces, type Measured } from '@/core/measuring/quantity'
import { store } from '@/data/store/database'
import { handle } from '@/app/api/handle'
import { workshopSettings } from '@/data/workshop/settings'
import { lineInMm } from '@/data/instruments/charts/lines-in-mm'
import { putOnShelf } from '@/data/instruments/put-on-shelf'
import { NewInstrumentRequest, stringsOn } from '@/boundary/requests/new-instrument'

/** Adds an instrument from its family's preset, with its maker’s chart laid over it where there is one. */
export function POST(request: Request) {
  return handle(request, NewInstrumentRequest, ({ notes, lengths, chart, on, year, ...about }) => {
    const { unit, referenceA, habits } = workshopSettings(store())
    const measured = readLengths(lengths, unit)
    const lines = chart.map(lineInMm)
    const drawn = fromPreset(
      { about: { ...about, slug: 'new', referenceA }, notes: readNotes(notes), measured },
      habits.gutTop,
    )
    const instrument = withChart(drawn, lines)
    const told = lengthsTold(lines).map((number): Measured => ({
      key: `speaking ${number}`,
      error: CHART_ERRORS.speaking,
    }))
    const byTape = measuredPieces(instrument, [...measured.keys()])
    const known = {
      measured: [...told.filter(({ key }) => !byTape.some((one) => one.key === key)), ...byTape],
      hardware: new Map(),
    }
    return putOnShelf(store(), instrument, known, stringsOn({ on, year }))
  })
}
