import type { Own } from '@/core/practice/drill'
import type { Answer, Question } from '@/core/practice/question'

export interface AskedProps<Asked extends Question = Question> {
  readonly own: Own
  readonly question: Asked
  /** `3 of 8` */
  readonly count: string
  readonly isLast: boolean
  readonly onDone: (answer: Answer) => void
}
