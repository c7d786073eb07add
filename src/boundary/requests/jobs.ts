import {
  ArrayMaxSize,
  ArrayNotEmpty,
  IsBoolean,
  IsIn,
  IsInt,
  IsNotEmpty,
  IsNumber,
  IsOptional,
  IsString,
  Max,
  Min,
  Validate,
  ValidatorConstraint,
  type ValidationArguments,
  type ValidatorConstraintInterface,
} from 'class-validator'
import type { CoveredWay } from '@/core/fitting/covered'
import { MISHAPS, type Mishap } from '@/core/fitting/mishaps'
import { ASKED, type Asked } from '@/core/fitting/step'
import { WAYS } from '@/core/fitting/habits'
import { measuredProblem } from '../measured'
import { COIL, CUT, GAUGE, IsLengthText } from '../length-text'

export class CoilRequest {
  @IsInt({ message: 'Choose a coil.' })
  coilId!: number
}

/** A string that is in the hand: as charted where no gauge is told. */
export class InHandRequest {
  @IsIn(['mm', 'in'], { message: 'The unit is mm or in.' })
  unit!: 'mm' | 'in'

  @IsOptional()
  @IsLengthText(GAUGE)
  gauge?: string

  @IsOptional()
  @IsLengthText(COIL)
  length?: string
}

export class StepRequest {
  @IsNotEmpty({ message: 'Which step is missing.' })
  step!: string

  @IsBoolean({ message: 'Say whether the step is done.' })
  done!: boolean

  /** The jobs that the step is done for, where several are done together. */
  @IsOptional()
  @ArrayMaxSize(200, { message: 'No instrument has so many strings.' })
  @IsInt({ each: true, message: 'Jobs are told by their numbers.' })
  jobs?: number[]
}

export class FinishRequest {
  @IsIn(['mm', 'in'], { message: 'The unit is mm or in.' })
  unit!: 'mm' | 'in'

  /** Left out when the same string was put back. */
  @IsOptional()
  @IsLengthText(CUT)
  cut?: string

  /** Left out where the string is caught in a cord, and nothing is wound. */
  @IsOptional()
  @Min(0.25, { message: 'A quarter of a wrap is the least that can be counted.' })
  @Max(20, { message: 'More than twenty wraps can’t be right.' })
  @IsNumber({}, { message: 'Wraps: expected a number such as 3.' })
  wraps?: number

  @IsOptional()
  @IsLengthText(GAUGE)
  gauge?: string
}

export class StringsRequest {
  @ArrayNotEmpty({ message: 'Say which strings.' })
  @ArrayMaxSize(200, { message: 'No instrument has so many strings.' })
  @IsInt({ each: true, message: 'Strings are told by their numbers from the top.' })
  strings!: number[]
}

export class CoveredRequest {
  @IsIn(WAYS.covered.filter((way) => way !== 'by time and retunes'), {
    message: 'Choose one of the three ways.',
  })
  way!: CoveredWay
}

export class MishapRequest {
  @IsNotEmpty({ message: 'Which step is missing.' })
  step!: string

  @IsIn(MISHAPS, { message: 'Say what went wrong: choose one of the list.' })
  mishap!: Mishap
}

/** What was typed must read as what is measured; empty takes the value back. */
@ValidatorConstraint()
class IsMeasured implements ValidatorConstraintInterface {
  validate(text: unknown, { object }: ValidationArguments): boolean {
    return this.problem(text, object) === null
  }

  defaultMessage({ value, object }: ValidationArguments): string {
    return this.problem(value, object) ?? ''
  }

  private problem(text: unknown, object: object): string | null {
    const { what, unit } = object as MeasureRequest
    return typeof text === 'string' && (ASKED as readonly string[]).includes(what)
      ? measuredProblem(what, text, unit)
      : 'What was measured is missing.'
  }
}

export class MeasureRequest {
  @IsIn(ASKED, { message: 'There is no such thing to measure.' })
  what!: Asked

  @IsIn(['mm', 'in'], { message: 'The unit is mm or in.' })
  unit!: 'mm' | 'in'

  @Validate(IsMeasured)
  @IsString({ message: 'What was measured is missing.' })
  text!: string

  /** What was kept for it when it was typed, as it was worked out; null for nothing. Left out where nobody looked. */
  @IsOptional()
  @IsNumber({}, { message: 'What was kept before is a number.' })
  seen?: number | null
}
