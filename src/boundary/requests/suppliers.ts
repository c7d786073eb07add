import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNotEmpty,
  IsNumber,
  IsObject,
  IsPositive,
  IsString,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator'
import { CURRENCIES } from '@/core/stores/money'
import type { CatalogueCells } from '@/core/stores/catalogue-cells'
import { FILE_UNITS, type FileUnit } from '@/core/units/file-unit'

export class TermsRequest {
  @Max(10_000, { message: 'A rate of more than 10,000 can’t be right.' })
  @IsPositive({
    message: 'The rate is what one of the supplier’s money is worth in the house’s: more than nothing.',
  })
  @IsNumber({}, { message: 'The rate: expected a number such as 1.17.' })
  rate!: number

  @MaxLength(20)
  @IsString()
  postage!: string

  /** Empty where postage is never free. */
  @MaxLength(20)
  @IsString()
  freeOver!: string

  @Max(365, { message: 'More than a year is no lead time.' })
  @Min(0, { message: 'The lead time can’t be less than nothing.' })
  @IsInt({ message: 'The lead time: expected a whole number of days.' })
  leadDays!: number

  @IsBoolean({ message: 'Say whether the supplier is simulated.' })
  simulated!: boolean
}

export class NewSupplierRequest extends TermsRequest {
  @MaxLength(60, { message: 'A name of at most 60 letters.' })
  @IsNotEmpty({ message: 'Say who it is.' })
  @IsString({ message: 'Say who it is.' })
  name!: string

  @IsIn(CURRENCIES, { message: 'Choose the money that it is paid in.' })
  currency!: string
}

const LONGEST = 300

class CatalogueCellsRequest implements CatalogueCells {
  @MaxLength(LONGEST) @IsString() part!: string
  @MaxLength(LONGEST) @IsString() name!: string
  @MaxLength(LONGEST) @IsString() material!: string
  @MaxLength(LONGEST) @IsString() gauge!: string
  @MaxLength(LONGEST) @IsString() core!: string
  @MaxLength(LONGEST) @IsString() bedding!: string
  @MaxLength(LONGEST) @IsString() wrap!: string
  @MaxLength(LONGEST) @IsString() colour!: string
  @MaxLength(LONGEST) @IsString() class!: string
  @MaxLength(LONGEST) @IsString() end!: string
  @MaxLength(LONGEST) @IsString() maker!: string
  @MaxLength(LONGEST) @IsString() line!: string
  @MaxLength(LONGEST) @IsString() sold!: string
  @MaxLength(LONGEST) @IsString() length!: string
  @MaxLength(LONGEST) @IsString() pieces!: string
  @MaxLength(LONGEST) @IsString() price!: string
  @MaxLength(LONGEST) @IsString() stock!: string
  @MaxLength(LONGEST) @IsString() contents!: string
}

class UnitsRequest {
  @IsIn(FILE_UNITS) gauge!: FileUnit
  @IsIn(FILE_UNITS) core!: FileUnit
  @IsIn(FILE_UNITS) bedding!: FileUnit
  @IsIn(FILE_UNITS) wrap!: FileUnit
  @IsIn(FILE_UNITS) length!: FileUnit
}

export class CatalogueRequest {
  @ValidateNested({ each: true })
  @IsObject({ each: true })
  @Type(() => CatalogueCellsRequest)
  @ArrayMaxSize(20_000, { message: 'A catalogue of more than 20,000 parts: take a part of it.' })
  @ArrayMinSize(1, { message: 'There is no row in it that can be taken.' })
  @IsArray()
  rows!: CatalogueCellsRequest[]

  @ValidateNested()
  @IsObject()
  @Type(() => UnitsRequest)
  units!: UnitsRequest
}

/** One line of a catalogue, typed. */
export class CatalogueLineRequest {
  @ValidateNested()
  @IsObject()
  @Type(() => CatalogueCellsRequest)
  row!: CatalogueCellsRequest

  @ValidateNested()
  @IsObject()
  @Type(() => UnitsRequest)
  units!: UnitsRequest
}
