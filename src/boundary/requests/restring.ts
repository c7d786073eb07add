import {
  ArrayMaxSize,
  ArrayNotEmpty,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsOptional,
  Max,
  Min,
} from 'class-validator'
import { RESTRING_WAYS, type RestringWay } from '@/core/restring/schools'
import { IsGoes } from './goes'

/** A restring as it is begun. */
export class RestringRequest {
  @IsGoes({ message: 'Expected goes, each a list of strings by their numbers.' })
  @ArrayMaxSize(200)
  @ArrayNotEmpty({ message: 'Choose at least one string.' })
  @IsArray({ message: 'Expected the order of work.' })
  goes!: number[][]

  @IsIn(RESTRING_WAYS, { message: 'That is no way to restring.' })
  @IsOptional()
  way!: RestringWay | null

  @Max(1440, { message: 'A session is no longer than a day.' })
  @Min(1, { message: 'A session takes some minutes: nothing is done in none.' })
  @IsInt({ message: 'How long a session is: expected whole minutes.' })
  sessionMinutes!: number

  @IsBoolean({ message: 'Say whether you begin with strings missing.' })
  withMissing!: boolean
}
