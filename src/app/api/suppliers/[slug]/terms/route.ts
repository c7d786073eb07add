import { parseMoney } from '@/core/stores/money'
import { store } from '@/data/database'
import { handle } from '@/data/http/handle'
import { changeTerms } from '@/data/suppliers'
import { TermsRequest } from '@/features/suppliers/requests'

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
