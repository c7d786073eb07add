import { chartLine } from '@/core/chart/chart-line'
import { changeChart } from '@/data/instruments/charts/change-chart'
import { wholeLineInMm } from '@/data/instruments/charts/lines-in-mm'
import { chartCsv } from '@/data/instruments/charts/chart-csv'
import { store } from '@/data/store/database'
import { fileAnswer } from '@/boundary/file-answer'
import { handle } from '@/app/api/handle'
import { toInstrumentFile } from '@/data/instruments/instrument-file'
import { instrumentBySlug } from '@/data/instruments/instruments'
import { ChartRequest } from '@/boundary/requests/chart'

interface Path {
  readonly params: Promise<{ slug: string }>
}

/** The chart as a file: `?as=csv` or `?as=json`. */
export async function GET(request: Request, { params }: Path) {
  const { slug } = await params
  const json = new URL(request.url).searchParams.get('as') === 'json'
  return fileAnswer(`${slug}-chart.${json ? 'json' : 'csv'}`, json ? 'application/json' : 'text/csv', () => {
    const { instrument } = instrumentBySlug(store(), slug)
    return json
      ? `${JSON.stringify(toInstrumentFile(instrument), null, 1)}\n`
      : chartCsv(instrument.positions.map(chartLine))
  })
}

/** Changes the chart; lines in millimetres, as a table's cells. */
export async function PATCH(request: Request, { params }: Path) {
  const { slug } = await params
  return handle(request, ChartRequest, ({ lines }) =>
    changeChart(store(), instrumentBySlug(store(), slug), lines.map(wholeLineInMm)),
  )
}
