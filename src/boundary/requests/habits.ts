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
import { HABIT_KEYS, habitProblem } from '@/core/fitting/habit-values'
import type { HabitChange } from '@/core/fitting/habits'

/** What {@link habitProblem} finds nothing wrong with, or null to go back to what holds without it. */
@ValidatorConstraint()
class IsHabitValue implements ValidatorConstraintInterface {
  validate(value: unknown, { object }: ValidationArguments): boolean {
    return value === null || habitProblem((object as HabitRequest).key, value) === null
  }

  defaultMessage({ object, value }: ValidationArguments): string {
    return habitProblem((object as HabitRequest).key, value) ?? ''
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

  @IsIn(HABIT_KEYS, { message: 'There is no such habit.' })
  @IsString({ message: 'Which habit is missing.' })
  key!: keyof HabitChange

  @Validate(IsHabitValue)
  value!: string | number | null
}
