import { IsIn, IsNotEmpty, IsOptional, IsString } from 'class-validator'
import type { StringColour, TensionClass } from '@/core/instrument/instrument'
import { MATERIALS, type Material } from '@/core/strings/materials'
import { COIL, GAUGE, IsLengthText } from '@/data/http/length-text'

export const PLAIN_MATERIALS = MATERIALS.filter((material) => material !== 'copper')

export class BookInRequest {
  @IsNotEmpty({ message: 'Give the coil a label that is written on its packet.' })
  label!: string

  @IsIn(['mm', 'in'], { message: 'The unit is mm or in.' })
  unit!: 'mm' | 'in'

  @IsIn(PLAIN_MATERIALS, { message: `The material is one of ${PLAIN_MATERIALS.join(', ')}.` })
  material!: Material

  @IsLengthText(GAUGE)
  gauge!: string

  @IsLengthText(COIL)
  length!: string

  @IsIn(['natural', 'red', 'black', 'blue'], { message: 'The colour is natural, red, black or blue.' })
  colour!: StringColour

  @IsIn(['concert', 'lever', 'folk', 'wire'], { message: 'The tension class is concert, lever, folk or wire.' })
  tensionClass!: TensionClass

  @IsOptional()
  @IsString({ message: 'The maker is text.' })
  maker?: string

  @IsOptional()
  @IsString({ message: 'The line is text.' })
  line?: string

  @IsOptional()
  @IsString({ message: 'The place is text.' })
  place?: string
}
