import { fileAnswer } from '@/boundary/file-answer'
import { writeScala } from '@/core/temper/scala'
import { temperamentNamed } from '@/data/workshop/temperaments'
import { store } from '@/data/store/database'

/** A temperament as a Scala file: `?name=Equal`. */
export function GET(request: Request) {
  const name = new URL(request.url).searchParams.get('name') ?? ''
  return fileAnswer('temperament.scl', 'text/plain', () => writeScala(temperamentNamed(store(), name)))
}
