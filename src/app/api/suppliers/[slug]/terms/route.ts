import { handle } from '@/app/api/handle'
import { TermsRequest } from '@/boundary/requests/suppliers'
import { changeTerms } from '@/data/buying/suppliers'
import { store } from '@/data/store/database'
import { termsFrom } from '../../terms-from'

interface Path {
  readonly params: Promise<{ slug: string }>
}

export async function POST(request: Request, { params }: Path) {
  const { slug } = await params
  return handle(request, TermsRequest, (terms) => changeTerms(store(), slug, termsFrom(terms)))
}
