import { IsIn, IsOptional } from 'class-validator'
import { IsLengthText, LEFT } from '../length-text'

export class TrimRequest {
  @IsIn(['mm', 'in'], { message: 'The unit is mm or in.' })
  unit!: 'mm' | 'in'

  /** What is left of the packet; left out where none hung by the tail. */
  @IsOptional()
  @IsLengthText(LEFT)
  left?: string
}
