import { IsIn, IsNotEmpty, IsString, MaxLength } from 'class-validator'
import { FAMILIES, type Family } from '@/core/instrument/family'
import { TENSION_CLASSES, STRUNG, type Strung, type TensionClass } from '@/core/instrument/instrument'
import { REST_TUNINGS } from '@/core/pitch/rest-tuning'

export class NewInstrumentRequest {
  @MaxLength(60, { message: 'A name of at most 60 letters.' })
  @IsNotEmpty({ message: 'The instrument needs a name.' })
  @IsString()
  name!: string

  @IsIn(FAMILIES, { message: 'Choose a family.' })
  family!: Family

  @MaxLength(600, { message: 'That is more notes than an instrument has.' })
  @IsNotEmpty({ message: 'Say the notes, such as “C2 to C7”.' })
  @IsString()
  notes!: string

  @IsIn(REST_TUNINGS, { message: 'Choose a rest tuning.' })
  restTuning!: string

  @IsIn(TENSION_CLASSES, { message: 'Choose a tension class.' })
  tensionClass!: TensionClass

  @IsIn(STRUNG, { message: 'Say which way round it is strung.' })
  strung!: Strung

  /** A line each: `1: 76 mm`. */
  @MaxLength(4000, { message: 'That is more lengths than an instrument has.' })
  @IsString()
  lengths!: string

  @MaxLength(80)
  @IsString()
  maker!: string

  @MaxLength(80)
  @IsString()
  model!: string

  @MaxLength(120)
  @IsString()
  owner!: string
}

export class InstrumentFileRequest {
  static readonly isFile = true

  @MaxLength(8_000_000, { message: 'That is too large for an instrument.' })
  @IsNotEmpty({ message: 'The file is empty.' })
  @IsString()
  text!: string
}
