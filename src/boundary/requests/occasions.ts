import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsInt,
  IsNotEmpty,
  IsNumber,
  IsObject,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator'
import { LATEST_TIME } from '@/core/units/latest-time'

export class OccasionRequest {
  @MaxLength(80, { message: 'A name of at most 80 letters.' })
  @IsNotEmpty({ message: 'Say what it is: a concert, a lesson.' })
  @IsString({ message: 'Say what it is: a concert, a lesson.' })
  name!: string

  @Max(LATEST_TIME, { message: 'Nobody plans as far ahead as that.' })
  @Min(0, { message: 'That is before the calendars of computers begin.' })
  @IsInt({ message: 'Say the day and the hour.' })
  at!: number

  @ValidateIf((_, value) => value !== null)
  @Max(24, { message: 'No date lasts longer than a day.' })
  @Min(0.25, { message: 'A quarter of an hour is the shortest.' })
  @IsNumber({}, { message: 'How long: expected a number of hours.' })
  hours!: number | null

  @Matches(/^[a-z0-9-]{1,80}$/, { each: true, message: 'An instrument is told by its name.' })
  @ArrayMaxSize(500, { message: 'At most five hundred instruments.' })
  @IsArray({ message: 'Expected a list of instruments.' })
  instruments!: string[]
}

export class OccasionsRequest {
  @ValidateNested({ each: true })
  @IsObject({ each: true })
  @Type(() => OccasionRequest)
  @ArrayMaxSize(400, { message: 'At most 400 dates at a time.' })
  @ArrayMinSize(1, { message: 'Choose at least one date.' })
  @IsArray({ message: 'Expected a list of dates.' })
  dates!: OccasionRequest[]
}
