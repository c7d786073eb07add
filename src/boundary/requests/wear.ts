import {
  ArrayMaxSize,
  ArrayNotEmpty,
  ArrayUnique,
  IsArray,
  IsIn,
  IsInt,
  IsString,
  Max,
  Min,
} from 'class-validator'
import { BREAK_SITES, type BreakSite } from '@/core/wear/break-sites'
import { CONDITIONS, type Condition } from '@/core/wear/life'
import { SIGNS, type Sign } from '@/core/wear/signs'
import { StringsOnRequest } from './new-instrument'

/** How one string looked. */
export class LookRequest {
  @Min(1, { message: 'Strings are numbered from 1.' })
  @Max(999, { message: 'No instrument has so many strings.' })
  @IsInt({ message: 'Which string was looked at is missing.' })
  number!: number

  @IsIn(CONDITIONS, { message: 'Say how it looks: as new, sound, worn or failing.' })
  condition!: Condition

  @IsIn(SIGNS, { each: true, message: 'That is nothing that is looked for.' })
  @ArrayUnique({ message: 'Name each thing once.' })
  @ArrayMaxSize(SIGNS.length)
  @IsArray({ message: 'Expected a list of what was seen.' })
  signs!: Sign[]
}

/** Since when strings are on that nobody saw put on. */
export class AgesRequest extends StringsOnRequest {
  @Max(999, { each: true, message: 'No instrument has so many strings.' })
  @Min(1, { each: true, message: 'Strings are numbered from 1.' })
  @IsInt({ each: true, message: 'Expected strings by their numbers.' })
  @ArrayUnique({ message: 'Name each string once.' })
  @ArrayMaxSize(200)
  @ArrayNotEmpty({ message: 'Choose at least one string.' })
  @IsArray({ message: 'Expected a list of strings.' })
  numbers!: number[]
}

export class PolishRequest {
  @Min(1, { message: 'Strings are numbered from 1.' })
  @Max(999, { message: 'No instrument has so many strings.' })
  @IsInt({ message: 'At which string is missing.' })
  number!: number

  @IsIn(BREAK_SITES, { message: 'Say which place was polished.' })
  site!: BreakSite
}

/** Strings of one instrument to be replaced in one go, some of which must be bought first. */
export class ReplaceRequest {
  @IsString({ message: 'Which instrument it is is missing.' })
  instrument!: string

  @Max(999, { each: true, message: 'No instrument has so many strings.' })
  @Min(1, { each: true, message: 'Strings are numbered from 1.' })
  @IsInt({ each: true, message: 'Expected strings by their numbers.' })
  @ArrayUnique({ message: 'Name each string once.' })
  @ArrayMaxSize(200)
  @ArrayNotEmpty({ message: 'Choose at least one string.' })
  @IsArray({ message: 'Expected a list of strings.' })
  strings!: number[]

  /** Those that the stores have nothing for. */
  @Max(999, { each: true, message: 'No instrument has so many strings.' })
  @Min(1, { each: true, message: 'Strings are numbered from 1.' })
  @IsInt({ each: true, message: 'Expected strings by their numbers.' })
  @ArrayUnique({ message: 'Name each string once.' })
  @ArrayMaxSize(200)
  @IsArray({ message: 'Expected a list of strings.' })
  bought!: number[]
}
