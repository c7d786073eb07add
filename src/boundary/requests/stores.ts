import { IsIn, IsInt, IsNotEmpty, IsOptional, IsString, Max, MaxLength, Min } from 'class-validator'
import { STRING_COLOURS, type StringColour } from '@/core/instrument/instrument'
import { STRING_ENDS, type StringEnd } from '@/core/knots/string-ends'
import { SOLD_CLASSES, type SoldClass } from '@/core/stores/string-spec'
import { SUPPLY_KINDS, type SupplyKind } from '@/core/stores/supplies'
import { MATERIALS, type Material } from '@/core/strings/materials'
import { COIL, GAUGE, IsLengthText } from '../length-text'

export const PLAIN_MATERIALS = MATERIALS.filter((material) => material !== 'copper')

export class BookInRequest {
  @MaxLength(80, { message: 'A label of at most 80 letters.' })
  @IsNotEmpty({ message: 'Give the coil a label that is written on its packet.' })
  @IsString({ message: 'Give the coil a label that is written on its packet.' })
  label!: string

  @IsIn(['mm', 'in'], { message: 'The unit is mm or in.' })
  unit!: 'mm' | 'in'

  @IsIn(PLAIN_MATERIALS, { message: `The material is one of ${PLAIN_MATERIALS.join(', ')}.` })
  material!: Material

  @IsLengthText(GAUGE)
  gauge!: string

  @IsLengthText(COIL)
  length!: string

  @IsIn(STRING_COLOURS, { message: 'The colour is natural, red, black or blue.' })
  colour!: StringColour

  @IsIn(SOLD_CLASSES, { message: `Choose the tension class on the packet, or “not given”.` })
  tensionClass!: SoldClass

  @IsIn(STRING_ENDS, { message: 'The end is plain, a loop or a ball.' })
  end: StringEnd = 'plain'

  @IsOptional()
  @MaxLength(80, { message: 'The maker is told in 80 letters at most.' })
  @IsString({ message: 'The maker is text.' })
  maker?: string

  @IsOptional()
  @MaxLength(80, { message: 'The line is told in 80 letters at most.' })
  @IsString({ message: 'The line is text.' })
  line?: string

  @IsOptional()
  @MaxLength(80, { message: 'The place is told in 80 letters at most.' })
  @IsString({ message: 'The place is text.' })
  place?: string
}

export class CorrectRequest {
  @MaxLength(80)
  @IsNotEmpty({ message: 'The coil needs its label.' })
  @IsString()
  label!: string

  @MaxLength(80)
  @IsString()
  place!: string

  @IsIn(['mm', 'in'], { message: 'The unit is mm or in.' })
  unit!: 'mm' | 'in'

  @IsLengthText(COIL)
  lengthLeft!: string
}

/** What is left of a string that was in the hand. */
export class KeepRestRequest {
  @IsIn(['mm', 'in'], { message: 'The unit is mm or in.' })
  unit!: 'mm' | 'in'

  @IsLengthText(COIL)
  left!: string
}

export class SupplyRequest {
  @IsIn(SUPPLY_KINDS, {
    message: 'Say whether it is an anchor, a bead, a washer, glue, a tool or something else.',
  })
  kind!: SupplyKind

  @MaxLength(60)
  @IsNotEmpty({ message: 'Say what it is.' })
  @IsString()
  name!: string

  @MaxLength(60)
  @IsString()
  place!: string

  @Max(100_000)
  @Min(0, { message: 'There can’t be fewer than none.' })
  @IsInt({ message: 'Expected a whole number.' })
  count!: number

  @Max(100_000)
  @Min(0, { message: 'There can’t be fewer than none.' })
  @IsInt({ message: 'Expected a whole number.' })
  least!: number
}

export class MoveRequest {
  @Max(10_000)
  @Min(-10_000)
  @IsInt({ message: 'Expected a whole number.' })
  by!: number
}

export class AnchorsRequest {
  @IsInt() fittedId!: number
}
