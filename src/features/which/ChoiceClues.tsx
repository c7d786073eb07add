'use client'

import { clueKey, type Clue } from '@/core/identify/clue'
import { howToFind } from '@/core/identify/tell'
import { ExamPicture } from './ExamPicture'
import type { ChoiceQuestion } from './questions'

interface ChoiceCluesProps {
  readonly question: ChoiceQuestion
  readonly clues: readonly Clue[]
  readonly onGive: (clue: Clue) => void
  readonly onTake: (key: string) => void
}

/** One question with its answers to press; pressing the chosen one again takes it back. */
export function ChoiceClues({ question, clues, onGive, onTake }: ChoiceCluesProps) {
  const { title, how } = howToFind(question)
  return (
    <fieldset className="py-3">
      <legend className="float-left w-full font-semibold">{title}</legend>
      <p className="clear-left text-sm text-soft">{how}</p>
      <div className="mt-2 flex flex-wrap gap-2">
        {question.answers.map(({ word, clue }) => {
          const chosen = clues.some(
            (given) =>
              clueKey(given) === clueKey(clue) &&
              'seen' in given &&
              'seen' in clue &&
              given.seen === clue.seen,
          )
          return (
            <button
              key={word}
              type="button"
              aria-pressed={chosen}
              onClick={() => (chosen ? onTake(clueKey(clue)) : onGive(clue))}
              className="flex min-h-11 items-center gap-2 border border-line px-3 text-left text-sm hover:border-ink aria-pressed:border-verdigris aria-pressed:bg-verdigris-wash aria-pressed:font-semibold"
            >
              <ExamPicture clue={clue} /> {word}
            </button>
          )
        })}
      </div>
    </fieldset>
  )
}
