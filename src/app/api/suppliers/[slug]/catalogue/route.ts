import { catalogueCsv, fromRows } from '@/data/buying/catalogue/catalogue-file'
import { store } from '@/data/store/database'
import { fileAnswer } from '@/boundary/file-answer'
import { handle } from '@/app/api/handle'
import { catalogue, replaceCatalogue, supplierBySlug } from '@/data/buying/suppliers'
import { CatalogueRequest } from '@/boundary/requests/suppliers'

interface Path {
  readonly params: Promise<{ slug: string }>
}

/** The catalogue as CSV. */
export async function GET(_: Request, { params }: Path) {
  const { slug } = await params
  return fileAnswer(`${slug}.csv`, 'text/csv', () =>
    catalogueCsv(catalogue(store(), supplierBySlug(store(), slug).id)),
  )
}

/** Puts a catalogue in the place of the old one. */
export async function PUT(request: Request, { params }: Path) {
  const { slug } = await params
  return handle(request, CatalogueRequest, ({ rows, units }) =>
    replaceCatalogue(store(), slug, fromRows(rows, units)),
  )
}
