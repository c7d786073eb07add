/**
 * A text file as the answer of a route handler, or the refusal's sentence.
 */
import { answerTo } from './handle'

/**
 * @param name - that it is saved under
 * @param type - its media type; it is in UTF-8
 * @param make - writes it; a Refusal is answered as one
 */
export async function fileAnswer(name: string, type: string, make: () => string): Promise<Response> {
  let body = ''
  const answer = await answerTo(() => {
    body = make()
    return {}
  })
  return answer.ok
    ? new Response(body, {
        headers: {
          'content-type': `${type}; charset=utf-8`,
          'content-disposition': `attachment; filename="${name}"`,
        },
      })
    : answer
}
