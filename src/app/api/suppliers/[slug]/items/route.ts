import { handle } from '@/app/api/handle'
import { Refusal } from '@/boundary/refusal'
import { CatalogueLineRequest } from '@/boundary/requests/suppliers'
import { readCatalogueCells } from '@/core/stores/catalogue-cells'
import { addItem } from '@/data/buying/suppliers'
import { store } from '@/data/store/database'

interface Path {
  readonly params: Promise<{ slug: string }>
}

/** Adds a line to a catalogue. */
export async function POST(request: Request, { params }: Path) {
  const { slug } = await params
  return handle(request, CatalogueLineRequest, ({ row, units }) => {
    const { item, problems } = readCatalogueCells(row, units)
    const [column, sentence] = Object.entries(problems)[0] ?? ['part', 'This line can’t be read.']
    if (!item) throw new Refusal(400, sentence, column)
    return addItem(store(), slug, item)
  })
}
