import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsObject,
  IsString,
  MaxLength,
  ValidateNested,
} from 'class-validator'
import type { Cells } from '@/core/chart/cells'

const LONGEST = 60

/** A line of a chart as cells, lengths in millimetres. */
export class CellsRequest implements Cells {
  @MaxLength(LONGEST) @IsString() number!: string
  @MaxLength(LONGEST) @IsString() label!: string
  @MaxLength(LONGEST) @IsString() note!: string
  @MaxLength(LONGEST) @IsString() colour!: string
  @MaxLength(LONGEST) @IsString() material!: string
  @MaxLength(LONGEST) @IsString() gauge!: string
  @MaxLength(LONGEST) @IsString() core!: string
  @MaxLength(LONGEST) @IsString() bedding!: string
  @MaxLength(LONGEST) @IsString() wrap!: string
  @MaxLength(LONGEST) @IsString() speaking!: string
  @MaxLength(LONGEST) @IsString() free!: string
  @MaxLength(LONGEST) @IsString() asked!: string
}

export class ChartRequest {
  @ValidateNested({ each: true })
  @IsObject({ each: true })
  @Type(() => CellsRequest)
  @ArrayMaxSize(200, { message: 'A chart has at most 200 lines.' })
  @ArrayMinSize(1, { message: 'There is nothing to change.' })
  @IsArray({ message: 'Expected the lines of the chart.' })
  lines!: CellsRequest[]
}
