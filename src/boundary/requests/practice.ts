import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  ArrayNotEmpty,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNotEmpty,
  IsNumber,
  IsString,
  Max,
  MaxLength,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator'
import { DRILLS, type Drill } from '@/core/practice/drill'
import { HOUR } from '@/core/units/time'

/** A question may be left open while one is called away; longer says nothing of it, ms. */
const LONGEST = HOUR
/** What was answered longer ago than this is no longer of use, s: a month. */
const LONG_AGO = 31 * 86_400

/** One question as it was answered. */
export class PracticeAnswerRequest {
  @MaxLength(200, { message: 'That is nothing to practise.' })
  @IsNotEmpty({ message: 'What was asked is missing.' })
  @IsString({ message: 'What was asked is missing.' })
  card!: string

  @IsIn(DRILLS, { message: 'Say which drill it was.' })
  drill!: Drill

  @IsBoolean({ message: 'Whether it was right is missing.' })
  isRight!: boolean

  @Max(LONGEST, { message: 'Nobody takes longer than an hour over one question.' })
  @Min(0, { message: 'Nobody answers before they are asked.' })
  @IsNumber({}, { message: 'How long it took is missing.' })
  took!: number

  /** How it went wrong; null where it was right. */
  @MaxLength(120, { message: 'At most 120 letters.' })
  @IsString({ message: 'Expected how it went wrong.' })
  @ValidateIf(({ mistake }: PracticeAnswerRequest) => mistake !== null)
  mistake!: string | null

  /** Wraps, cents or stages. */
  @Max(5000, { message: 'Nothing is so far off.' })
  @Min(-5000, { message: 'Nothing is so far off.' })
  @IsNumber({}, { message: 'How far off it was: expected a number.' })
  @ValidateIf(({ off }: PracticeAnswerRequest) => off !== null)
  off!: number | null

  /** s */
  @Max(LONG_AGO, { message: 'That was more than a month ago.' })
  @Min(0, { message: 'That is still to come.' })
  @IsInt({ message: 'How long ago it was is missing.' })
  ago!: number
}

/** How a go went. */
export class PracticeRequest {
  @ValidateNested({ each: true })
  @Type(() => PracticeAnswerRequest)
  @ArrayMaxSize(60, { message: 'One go has at most 60 questions.' })
  @ArrayNotEmpty({ message: 'Nothing was answered.' })
  @IsArray({ message: 'Expected a list of answers.' })
  answers!: PracticeAnswerRequest[]
}
