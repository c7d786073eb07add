import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsObject,
  IsOptional,
  IsString,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator'
import { LINE_ANSWERS, SENT_BY_HAND, type LineAnswer, type SentByHand } from '@/core/stores/order-way'
import { SUGGESTED_OF, type SuggestedOf } from '@/core/stores/suggested-of'

/** How many of a small thing are to be got. */
export class WantRequest {
  @Max(100_000, { message: 'So many can’t be right.' })
  @Min(0, { message: 'There can’t be fewer than none.' })
  @IsInt({ message: 'Expected a whole number.' })
  wanted!: number
}

class WantedRequest {
  @IsInt() positionId!: number
  @IsOptional() @IsInt() jobId: number | null = null
  @Max(200, { message: 'More than 200 of one string is a slip of the pen.' })
  @Min(1)
  @IsInt({ message: 'How many: expected a whole number.' })
  quantity!: number
}

export class NeedsRequest {
  @ValidateNested({ each: true })
  @IsObject({ each: true })
  @Type(() => WantedRequest)
  @ArrayMaxSize(400)
  @ArrayMinSize(1, { message: 'There is nothing to put on the list.' })
  @IsArray()
  wanted!: WantedRequest[]
}

/** Which suggestions are put on the list. */
export class SuggestedRequest {
  @IsIn(SUGGESTED_OF, { message: 'Say which suggestions to put on the list.' }) of!: SuggestedOf
}

/** A part to be bought in place of a gauge that nobody sells. */
export class OtherGaugeRequest {
  @IsInt({ message: 'Choose the part to buy instead.' }) itemId!: number
}

class FillRequest {
  @IsInt() needId!: number
  @Max(200) @Min(1) @IsInt() strings!: number
}

class OrderedLineRequest {
  @IsInt() itemId!: number
  @Max(1000) @Min(1) @IsInt() packs!: number
  @ValidateNested({ each: true })
  @IsObject({ each: true })
  @Type(() => FillRequest)
  @ArrayMaxSize(400)
  @IsArray()
  fills!: FillRequest[]
}

class OrderedRequest {
  @IsInt() supplierId!: number
  @ValidateNested({ each: true })
  @IsObject({ each: true })
  @Type(() => OrderedLineRequest)
  @ArrayMaxSize(400)
  @ArrayMinSize(1)
  @IsArray()
  lines!: OrderedLineRequest[]
}

export class PlaceRequest {
  @ValidateNested({ each: true })
  @IsObject({ each: true })
  @Type(() => OrderedRequest)
  @ArrayMaxSize(40)
  @ArrayMinSize(1, { message: 'There is nothing to order.' })
  @IsArray()
  orders!: OrderedRequest[]
}

/** How somebody sent an order. */
export class SentRequest {
  @IsIn(SENT_BY_HAND, { message: 'Choose how you sent it: by mail, by telephone or in the shop.' })
  by!: SentByHand
}

class AnsweredLineRequest {
  @IsInt() lineId!: number

  @IsIn(LINE_ANSWERS, { message: 'Choose what they answered.' })
  answer!: LineAnswer

  /** The part offered in its place; null where none is. */
  @IsOptional()
  @MaxLength(80)
  @IsString()
  offered: string | null = null
}

/** What a supplier answered, as somebody heard or read it. */
export class AnsweredRequest {
  @ValidateNested({ each: true })
  @IsObject({ each: true })
  @Type(() => AnsweredLineRequest)
  @ArrayMaxSize(400)
  @ArrayMinSize(1, { message: 'Enter an answer for at least one line.' })
  @IsArray()
  lines!: AnsweredLineRequest[]
}

export class DecideRequest {
  @IsInt() lineId!: number
  @IsBoolean() accept!: boolean
}

class ArrivedRequest {
  @IsInt() lineId!: number
  @Max(1000, { message: 'Expected a whole number of packs.' })
  @Min(0, { message: 'Expected a whole number of packs.' })
  @IsInt({ message: 'Expected a whole number of packs.' })
  packs!: number
}

export class ReceiveRequest {
  @ValidateNested({ each: true })
  @IsObject({ each: true })
  @Type(() => ArrivedRequest)
  @ArrayMaxSize(400)
  @IsArray()
  arrived!: ArrivedRequest[]

  @MaxLength(80, { message: 'Say in a few words where it lies.' })
  @IsString()
  place!: string
}
