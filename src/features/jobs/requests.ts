import { IsBoolean, IsIn, IsInt, IsNotEmpty, IsNumber, IsOptional, Max, Min } from 'class-validator'
import { CUT, GAUGE, IsLengthText } from '@/data/http/length-text'

export class CoilRequest {
  @IsInt({ message: 'Choose a coil.' })
  coilId!: number
}

export class WrapsRequest {
  @Min(1, { message: 'One wrap is the least that holds.' })
  @Max(8, { message: 'More than eight wraps only add stretch and an untidy pin.' })
  @IsNumber({}, { message: 'Wraps: expected a number such as 3.' })
  wraps!: number
}

export class StepRequest {
  @IsNotEmpty({ message: 'Which step is missing.' })
  step!: string

  @IsBoolean({ message: 'Say whether the step is done.' })
  done!: boolean
}

export class FinishRequest {
  @IsIn(['mm', 'in'], { message: 'The unit is mm or in.' })
  unit!: 'mm' | 'in'

  /** Left out when the same string was put back. */
  @IsOptional()
  @IsLengthText(CUT)
  cut?: string

  @Min(0.25, { message: 'A quarter of a wrap is the least that can be counted.' })
  @Max(20, { message: 'More than twenty wraps can’t be right.' })
  @IsNumber({}, { message: 'Wraps: expected a number such as 3.' })
  wraps!: number

  @IsOptional()
  @IsLengthText(GAUGE)
  gauge?: string
}
