import { readName } from '@/core/instrument/read-name'
import { store } from '@/data/database'
import { answerTo } from '@/data/http/handle'
import { instrumentBySlug } from '@/data/instruments'
import { Refusal } from '@/data/refusal'

interface Path {
  readonly params: Promise<{ slug: string }>
}

/** Which strings of an instrument a name can mean: `?name=A3`. */
export async function GET(request: Request, { params }: Path) {
  const { slug } = await params
  return answerTo(() => {
    const name = new URL(request.url).searchParams.get('name') ?? ''
    const { instrument } = instrumentBySlug(store(), slug)
    const readings = readName(name, instrument)
    if (readings.length === 0) throw new Refusal(404, `${instrument.name} has no string called “${name}”.`, 'name')
    return { readings }
  })
}
