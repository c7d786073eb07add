import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  IsArray,
  IsIn,
  IsInt,
  IsNotEmpty,
  IsObject,
  IsString,
  MaxLength,
  ValidateIf,
  ValidateNested,
} from 'class-validator'
import { CellsRequest } from './chart'
import { FAMILIES, type Family } from '@/core/instrument/family'
import { TENSION_CLASSES, STRUNG, type Strung, type TensionClass } from '@/core/instrument/instrument'
import { REST_TUNINGS } from '@/core/pitch/rest-tuning'
import { ON_ALREADY, type OnAlready } from '@/core/wear/on-since'

/** What is said of the strings that are on an instrument already. */
export class StringsOnRequest {
  @IsIn(ON_ALREADY, { message: 'Say whether strings are on, and since when.' })
  on!: OnAlready

  /** Of the calendar; null where nobody knows, or none is on. */
  @IsInt({ message: 'Expected a year, such as 2019.' })
  @ValidateIf((one: StringsOnRequest) => one.on === 'about')
  year!: number | null
}

/** The same as a command takes it. */
export const stringsOn = ({ on, year }: StringsOnRequest): { readonly year: number | null } | 'none' =>
  on === 'none' ? 'none' : { year: on === 'about' ? year : null }

export class NewInstrumentRequest extends StringsOnRequest {
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

  /** Lines of its maker’s chart, lengths in millimetres; empty where there is none. */
  @ValidateNested({ each: true })
  @IsObject({ each: true })
  @Type(() => CellsRequest)
  @ArrayMaxSize(200, { message: 'A chart has at most 200 lines.' })
  @IsArray()
  chart!: CellsRequest[]

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
