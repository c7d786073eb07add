import { parseMoney } from '@/core/stores/money'
import { store } from '@/data/store/database'
import { handle } from '@/app/api/handle'
import { changeTerms } from '@/data/buying/suppliers'
import { TermsRequest } from '@/boundary/requests/suppliers'

interface Path {
  readonly params: Promise<{ slug: string }>
}

export async function POST(request: Request, { params }: Path) {
  const { slug } = await params
  return handle(request, TermsRequest, ({ rate, postage, freeOver, leadDays }) =>
    changeTerms(store(), slug, {
      rate,
      leadDays,
      postageMinor: parseMoney(postage),
      freeOverMinor: freeOver.trim() === '' ? null : parseMoney(freeOver),
    }),
  )
}
