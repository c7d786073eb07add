import { IsIn, IsInt, IsString, Max, Min } from 'class-validator'
import { BREAK_SITES, type BreakSite } from '@/core/wear/break-sites'

export class BreakRequest {
  @IsString({ message: 'Which instrument the string is on is missing.' })
  instrument!: string

  @Min(1, { message: 'Strings are counted from 1.' })
  @Max(999, { message: 'No instrument has so many strings.' })
  @IsInt({ message: 'Expected the string’s number, counted from the top.' })
  string!: number

  @IsIn(BREAK_SITES, { message: 'Say where it gave way: choose one of the places.' })
  site!: BreakSite
}
