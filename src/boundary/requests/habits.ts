import {
  IsIn,
  IsInt,
  IsOptional,
  IsString,
  Matches,
  Validate,
  ValidatorConstraint,
  type ValidationArguments,
  type ValidatorConstraintInterface,
} from 'class-validator'
import { MOST_CYCLES } from '@/core/settle/stretching'
import { WAYS, type HabitChange, type HabitKey } from '@/core/fitting/habits'

/** Habits that are a number: their bounds, and the sentence for what lies outside. Lengths in m. */
const AMOUNTS: Readonly<
  Record<string, { readonly least: number; readonly most: number; readonly sentence: string }>
> = {
  wraps: {
    least: 1,
    most: 8,
    sentence:
      'Wraps: expected a number from 1 to 8; one is the least that holds, more than eight only add stretch.',
  },
  thinBelow: { least: 0.2e-3, most: 4e-3, sentence: 'Thin below: expected a gauge from 0.2 to 4 mm.' },
  slackLength: { least: 0.005, most: 0.5, sentence: 'The slack: expected a length from 5 to 500 mm.' },
  slackStrings: { least: 0.25, most: 20, sentence: 'Strings aside: expected a number from a quarter to 20.' },
  stretchCycles: {
    least: 0,
    most: MOST_CYCLES,
    sentence: `Cycles: expected a number from 0 to ${MOST_CYCLES}.`,
  },
  tail: { least: 0.01, most: 0.3, sentence: 'The tail: expected a length from 10 to 300 mm.' },
}
const KEYS = [...Object.keys(WAYS), ...Object.keys(AMOUNTS)]

/** One of the ways that the habit has, a number within its bounds, or null to go back to what holds without it. */
@ValidatorConstraint()
class IsHabitValue implements ValidatorConstraintInterface {
  validate(value: unknown, { object }: ValidationArguments): boolean {
    const { key } = object as HabitRequest
    if (value === null) return true
    const amount = Object.hasOwn(AMOUNTS, key) ? AMOUNTS[key] : undefined
    if (amount)
      return (
        typeof value === 'number' &&
        value >= amount.least &&
        value <= amount.most &&
        (key !== 'stretchCycles' || Number.isInteger(value))
      )
    return Object.hasOwn(WAYS, key) && (WAYS[key as HabitKey] as readonly unknown[]).includes(value)
  }

  defaultMessage({ object }: ValidationArguments): string {
    const { key } = object as HabitRequest
    return Object.hasOwn(AMOUNTS, key)
      ? (AMOUNTS[key]?.sentence ?? '')
      : Object.hasOwn(WAYS, key)
        ? `Choose one of: ${WAYS[key as HabitKey].join('; ')}.`
        : 'There is no such habit.'
  }
}

export class HabitRequest {
  @IsIn(['house', 'instrument', 'job'], {
    message: 'A habit belongs to the house, to an instrument or to a job.',
  })
  of!: 'house' | 'instrument' | 'job'

  @IsOptional()
  @Matches(/^[a-z0-9-]+$/, { message: 'Which instrument is missing.' })
  slug?: string

  @IsOptional()
  @IsInt({ message: 'Which job is missing.' })
  jobId?: number

  @IsIn(KEYS, { message: 'There is no such habit.' })
  @IsString({ message: 'Which habit is missing.' })
  key!: keyof HabitChange

  @Validate(IsHabitValue)
  value!: string | number | null
}
