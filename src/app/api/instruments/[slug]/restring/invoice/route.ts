import { fileAnswer } from '@/boundary/file-answer'
import { instrumentBySlug } from '@/data/instruments/instruments'
import { store } from '@/data/store/database'
import { invoiceCsv } from '@/data/views/restring-report'

interface Path {
  readonly params: Promise<{ slug: string }>
}

/** The lines of an invoice for the last restring, as CSV. */
export async function GET(_: Request, { params }: Path) {
  const { slug } = await params
  return fileAnswer('restring.csv', 'text/csv', () => invoiceCsv(store(), instrumentBySlug(store(), slug)))
}
