import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsInt,
  IsNumber,
  IsObject,
  Max,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator'
import { AIR_BOUNDS } from '@/core/settle/room'
import { LATEST_TIME } from '@/core/units/latest-time'

export class RoomReadingRequest {
  @Max(LATEST_TIME, { message: 'That is later than calendars of computers go.' })
  @Min(0, { message: 'That is before the calendars of computers begin.' })
  @IsInt({ message: 'Say the day and the hour.' })
  at!: number

  @ValidateIf((_, value) => value !== null)
  @Max(AIR_BOUNDS.celsius[1], { message: 'No instrument stands in such heat.' })
  @Min(AIR_BOUNDS.celsius[0], { message: 'No instrument stands in such cold.' })
  @IsNumber({}, { message: 'Temperature: expected degrees, such as 21.5.' })
  celsius!: number | null

  @ValidateIf((one: RoomReadingRequest, value) => value !== null || one.celsius === null)
  @Max(AIR_BOUNDS.humidity[1], { message: 'Relative humidity goes up to 100 %.' })
  @Min(AIR_BOUNDS.humidity[0], { message: 'Relative humidity begins at 1 %.' })
  @IsNumber({}, { message: 'Humidity: expected a number of per cent, such as 45.' })
  humidity!: number | null
}

export class RoomRequest {
  @ValidateNested({ each: true })
  @IsObject({ each: true })
  @Type(() => RoomReadingRequest)
  @ArrayMaxSize(20_000, { message: 'At most 20,000 readings at a time.' })
  @ArrayMinSize(1, { message: 'Read the room first.' })
  @IsArray({ message: 'Expected a list of readings.' })
  readings!: RoomReadingRequest[]
}
