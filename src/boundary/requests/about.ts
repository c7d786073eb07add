import {
  IsBoolean,
  IsIn,
  IsNotEmpty,
  IsOptional,
  IsNumber,
  IsString,
  IsUrl,
  Max,
  MaxLength,
  Min,
  ValidateIf,
} from 'class-validator'
import { REST_TUNINGS } from '@/core/pitch/rest-tuning'
import {
  LEVERS_OFF,
  STRUNG,
  TENSION_CLASSES,
  type LeversOff,
  type Strung,
  type TensionClass,
} from '@/core/instrument/instrument'

/** What is said of an instrument beside its chart. */
export class AboutRequest {
  @MaxLength(60, { message: 'A name of at most 60 letters.' })
  @IsNotEmpty({ message: 'The instrument needs a name.' })
  @IsString()
  name!: string

  @MaxLength(120, { message: 'At most 120 letters.' })
  @IsString()
  owner!: string

  @MaxLength(80, { message: 'At most 80 letters.' })
  @IsString()
  maker!: string

  @MaxLength(80, { message: 'At most 80 letters.' })
  @IsString()
  model!: string

  @IsIn(TENSION_CLASSES, { message: 'Choose a tension class.' })
  tensionClass!: TensionClass

  @IsIn(STRUNG, { message: 'Say which way round it is strung.' })
  strung!: Strung

  @IsOptional()
  @IsIn(LEVERS_OFF, { message: 'Say where its levers are off: down, or up.' })
  leversOff?: LeversOff

  @IsIn(REST_TUNINGS, { message: 'Choose a rest tuning.' })
  restTuning!: string

  @MaxLength(200, { message: 'At most 200 letters.' })
  @IsNotEmpty({ message: 'Say how it lies while it is strung.' })
  @IsString()
  lies!: string

  @Max(470, { message: 'Above 470 Hz the strings would be strained.' })
  @Min(380, { message: 'Below 380 Hz is no reference A that anyone tunes to.' })
  @IsNumber({}, { message: 'Reference A: expected a frequency in Hz, such as 440.' })
  referenceA!: number

  @ValidateIf((_, value) => value !== '')
  @IsUrl(
    { protocols: ['http', 'https'], require_protocol: true },
    { message: 'Expected an address that begins with http:// or https://.' },
  )
  @MaxLength(300, { message: 'That address is too long.' })
  @IsString()
  chartLink!: string

  @IsBoolean({ message: 'Say whether you stock strings for it.' })
  stocked!: boolean

  @MaxLength(2000, { message: 'At most 2,000 letters.' })
  @IsString()
  notes!: string
}
