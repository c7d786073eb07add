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
  ValidateNested,
} from 'class-validator'
import { MOST_STRINGS } from '@/core/instrument/change-strings'

/** A length as a picture tells it, m. */
class ReadLengthRequest {
  @Max(MOST_STRINGS) @Min(1) @IsInt() number!: number
  @Max(3, { message: 'No string is longer than three metres: is the sheet’s size right?' })
  @Min(0.01, { message: 'No string is shorter than a centimetre: is the sheet’s size right?' })
  @IsNumber({}, { message: 'Expected a length.' })
  length!: number
  @Max(0.3, { message: 'A length that is so unsure says nothing: mark it again.' })
  @Min(1e-5)
  @IsNumber({}, { message: 'Expected how sure the length is.' })
  error!: number
}

export class PhotoLengthsRequest {
  @ValidateNested({ each: true })
  @IsObject({ each: true })
  @Type(() => ReadLengthRequest)
  @ArrayMaxSize(MOST_STRINGS)
  @ArrayMinSize(1, { message: 'Mark at least one string.' })
  @IsArray({ message: 'Expected lengths.' })
  readings!: ReadLengthRequest[]
  /** Strings of which the reading counts beside what the chart says, by number. */
  @Max(MOST_STRINGS, { each: true })
  @Min(1, { each: true })
  @IsInt({ each: true, message: 'Expected numbers of strings.' })
  @ArrayMaxSize(MOST_STRINGS)
  @IsArray({ message: 'Expected numbers of strings.' })
  replaced!: number[]
}
