/**
 * A file as the answer of a route handler, or the refusal's sentence.
 */
import { answerTo } from './handle'

/**
 * @param name - that it is saved under
 * @param type - its media type; text is in UTF-8
 * @param make - writes it; a Refusal is answered as one
 */
export async function fileAnswer(
  name: string,
  type: string,
  make: () => string | Uint8Array<ArrayBuffer>,
): Promise<Response> {
  let body: string | Uint8Array<ArrayBuffer> = ''
  const answer = await answerTo(() => {
    body = make()
    return {}
  })
  return answer.ok
    ? new Response(body, {
        headers: {
          'content-type': typeof body === 'string' ? `${type}; charset=utf-8` : type,
          'content-disposition': `attachment; filename="${name}"`,
        },
      })
    : answer
}
