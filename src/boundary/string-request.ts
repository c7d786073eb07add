import { IsInt, IsString, Max, Min } from 'class-validator'

/** One string of one instrument. */
export class StringRequest {
  @IsString({ message: 'Which instrument the string is on is missing.' })
  instrument!: string

  @Min(1, { message: 'Strings are counted from 1.' })
  @Max(999, { message: 'No instrument has so many strings.' })
  @IsInt({ message: 'Expected the string’s number, counted from the top.' })
  string!: number
}
