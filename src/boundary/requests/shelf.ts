import { IsBoolean, IsInt, IsNotEmpty, IsString, Max, MaxLength, Min } from 'class-validator'
import { MOST_STRINGS } from '@/core/instrument/change-strings'

export class AddStringRequest {
  /** 0 puts it before all others. */
  @Max(MOST_STRINGS)
  @Min(0)
  @IsInt({ message: 'Say the number of the string that it comes after.' })
  after!: number
}

export class RemoveStringRequest {
  @Max(MOST_STRINGS)
  @Min(1)
  @IsInt({ message: 'Say the number of the string.' })
  string!: number
}

/** A string and the next one as one wire, or the two strings of a wire apart. */
export class PairStringsRequest {
  @Max(MOST_STRINGS)
  @Min(1)
  @IsInt({ message: 'Say the number of the string.' })
  string!: number

  @IsBoolean({ message: 'Say whether they are one wire.' })
  asOne!: boolean
}

export class CopyRequest {
  @MaxLength(60, { message: 'A name of at most 60 letters.' })
  @IsNotEmpty({ message: 'The copy needs a name of its own.' })
  @IsString()
  name!: string
}

/** Takes something off a list, or puts it back; what it did stays on record. */
export class RetireRequest {
  @IsBoolean({ message: 'Say whether it goes or comes back.' })
  retired!: boolean
}
