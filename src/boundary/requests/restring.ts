import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  ArrayNotEmpty,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsObject,
  IsOptional,
  IsString,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator'
import { RESTRING_WAYS, type RestringWay } from '@/core/restring/taught-ways'
import { IsGoes } from './goes'

class PieceCutRequest {
  @IsInt() id!: number
  @IsInt() coilId!: number
}

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

  @IsBoolean({ message: 'Say whether nothing is on it yet.' })
  fromBare!: boolean

  @MaxLength(80, { each: true, message: 'A name of at most 80 letters.' })
  @IsString({ each: true, message: 'Expected the names of people.' })
  @ArrayMaxSize(6, { message: 'No more than six people find room at an instrument.' })
  @IsArray({ message: 'Expected the names of people.' })
  people!: string[]

  @ValidateNested({ each: true })
  @IsObject({ each: true })
  @Type(() => PieceCutRequest)
  @ArrayMaxSize(200)
  @IsArray({ message: 'Expected which string is cut from which coil.' })
  cuts!: PieceCutRequest[]
}
