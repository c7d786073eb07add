import { handle } from '@/app/api/handle'
import { Refusal } from '@/boundary/refusal'
import { HardwareRequest } from '@/boundary/requests/hardware'
import { readHardware } from '@/core/hardware/cells'
import { changeHardware } from '@/data/instruments/change-hardware'
import { store } from '@/data/store/database'

interface Path {
  readonly params: Promise<{ slug: string }>
}

/** Changes how strings are fastened and led; lengths in millimetres, as a table's cells. */
export async function PATCH(request: Request, { params }: Path) {
  const { slug } = await params
  return handle(request, HardwareRequest, ({ lines }) =>
    changeHardware(
      store(),
      slug,
      lines.map(({ number, confirmed, ...cells }) => ({ line: lineFrom(number, cells), confirmed })),
    ),
  )
}

function lineFrom(number: number, cells: Parameters<typeof readHardware>[1]) {
  const { line, problems } = readHardware(number, cells, 'mm')
  const [column, sentence] = Object.entries(problems)[0] ?? []
  if (!line) throw new Refusal(400, `String ${number}: ${sentence}`, `${number}.${column}`)
  return line
}
