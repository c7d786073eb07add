/**
 * A file as the answer of a route handler, or the refusal's sentence.
 */
import { answerTo } from './handle'

/**
 * @param name - that it is saved under
 * @param type - media type of text
 * @param make - writes it; a Refusal is answered as one
 */
export async function fileAnswer(name: string, type: string, make: () => string): Promise<Response> {
  let text = ''
  const answer = await answerTo(() => {
    text = make()
    return {}
  })
  return answer.ok
    ? new Response(text, {
        headers: {
          'content-type': `${type}; charset=utf-8`,
          'content-disposition': `attachment; filename="${name}"`,
        },
      })
    : answer
}
