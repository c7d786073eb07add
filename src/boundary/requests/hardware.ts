import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsInt,
  IsObject,
  IsString,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator'
import type { HardwareCells } from '@/core/hardware/cells'
import { HARDWARE_COLUMNS, type HardwareColumn } from '@/core/hardware/columns'
import { MOST_STRINGS } from '@/core/instrument/change-strings'

const LONGEST = 60

/** A string's hardware as cells, lengths in millimetres. */
class HardwareLineRequest implements HardwareCells {
  @Max(MOST_STRINGS) @Min(1) @IsInt() number!: number
  @MaxLength(LONGEST) @IsString() tail!: string
  @MaxLength(LONGEST) @IsString() bearing!: string
  @MaxLength(LONGEST) @IsString() board!: string
  @MaxLength(LONGEST) @IsString() eyelet!: string
  @MaxLength(LONGEST) @IsString() post!: string
  @MaxLength(LONGEST) @IsString() mechanism!: string
  @MaxLength(LONGEST) @IsString() head!: string
  @MaxLength(LONGEST) @IsString() setting!: string
  @MaxLength(LONGEST) @IsString() turned!: string
  @MaxLength(LONGEST) @IsString() tightens!: string
  @MaxLength(LONGEST) @IsString() gear!: string
  @MaxLength(LONGEST) @IsString() diameter!: string
  @MaxLength(LONGEST) @IsString() thread!: string
  @MaxLength(LONGEST) @IsString() height!: string
  @MaxLength(LONGEST) @IsString() datum!: string
  @MaxLength(LONGEST) @IsString() holeToEnd!: string
  @MaxLength(LONGEST) @IsString() bridgeHeight!: string
  @MaxLength(LONGEST) @IsString() toBridge!: string

  /** Columns that were looked at and are right as they stand. */
  @IsIn(HARDWARE_COLUMNS, { each: true, message: 'There is no such thing on the fittings sheet.' })
  @ArrayMaxSize(HARDWARE_COLUMNS.length)
  @IsArray()
  confirmed!: HardwareColumn[]
}

export class HardwareRequest {
  @ValidateNested({ each: true })
  @IsObject({ each: true })
  @Type(() => HardwareLineRequest)
  @ArrayMaxSize(MOST_STRINGS, { message: `An instrument has ${MOST_STRINGS} strings at most.` })
  @ArrayMinSize(1, { message: 'There is nothing to change.' })
  @IsArray({ message: 'Expected the lines of the sheet.' })
  lines!: HardwareLineRequest[]
}

class CoveringRequest {
  @Max(MOST_STRINGS) @Min(1) @IsInt({ message: 'Say the number of the string that lies over.' }) over!: number
  @Max(MOST_STRINGS) @Min(1) @IsInt({ message: 'Say the number of the string below.' }) under!: number
}

/** What lies over what, all of it. */
export class LayersRequest {
  @ValidateNested({ each: true })
  @IsObject({ each: true })
  @Type(() => CoveringRequest)
  @ArrayMaxSize(MOST_STRINGS * 8, { message: 'That is more than can lie over one another.' })
  @IsArray({ message: 'Expected what lies over what.' })
  layers!: CoveringRequest[]
}
