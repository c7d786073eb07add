import {
  ArrayMaxSize,
  ArrayNotEmpty,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNotEmpty,
  IsNumber,
  IsString,
  IsTimeZone,
  Matches,
  Max,
  MaxLength,
  Min,
} from 'class-validator'
import { SPARES_BY, type SparesBy } from '@/core/wear/reorder'
import { CURRENCIES } from '@/core/stores/money'

/** A time of day as clocks show it. */
const CLOCK = /^([01]\d|2[0-3]):[0-5]\d$/

/** The three things that a house begins with, and its place on the globe, which the browser knows. */
export class BeginRequest {
  @MaxLength(60, { message: 'A name of at most 60 letters.' })
  @IsNotEmpty({ message: 'Give the house a name: your own will do.' })
  @IsString()
  name!: string

  @IsIn(['mm', 'in'], { message: 'The unit is mm or in.' })
  unit!: 'mm' | 'in'

  @IsIn(CURRENCIES, { message: 'Choose a currency.' })
  currency!: string

  @IsTimeZone({ message: 'There is no such time zone.' })
  timeZone!: string

  @IsBoolean({ message: 'Say whether gauges are in thousandths.' })
  gaugesInThou!: boolean
}

export class WorkshopRequest extends BeginRequest {
  @MaxLength(300, { message: 'An address of at most 300 letters.' })
  @IsString()
  address!: string

  @Max(20, { message: 'More than 20 of each string is a shop.' })
  @Min(0, { message: 'There can’t be fewer than none.' })
  @IsInt({ message: 'Spares: expected a whole number.' })
  leastSpares!: number

  @IsIn(SPARES_BY, { message: 'Say whether spares are kept by number or by what breaks.' })
  sparesBy!: SparesBy

  @IsBoolean({ message: 'Say whether strings are kept in store.' })
  keepsStores!: boolean

  @Min(2, { message: 'Nobody retunes for less than two cents.' })
  @Max(60, { message: 'Let no string fall by more than 60 cents before it is brought back.' })
  @IsNumber({}, { message: 'Retune at: expected a number of cents.' })
  retuneAtCents!: number

  @Min(0.25, { message: 'A quarter of an hour is the shortest concert.' })
  @Max(24, { message: 'No concert lasts longer than a day.' })
  @IsNumber({}, { message: 'A concert lasts: expected a number of hours.' })
  concertHours!: number

  @Min(1, { message: 'One cent is the least that can be held.' })
  @Max(30, { message: 'More than 30 cents is out of tune to anyone.' })
  @IsNumber({}, { message: 'Holds within: expected a number of cents.' })
  holdsWithinCents!: number

  @Matches(CLOCK, { message: 'Someone is there from: expected a time, such as 09:00.' })
  opensAt!: string

  @Matches(CLOCK, { message: 'Someone is there until: expected a time, such as 18:00.' })
  closesAt!: string

  @Max(7, { each: true, message: 'A week has seven days.' })
  @Min(1, { each: true, message: 'A week has seven days.' })
  @IsInt({ each: true, message: 'Expected days of the week by number.' })
  @ArrayUnique({ message: 'Name each day once.' })
  @ArrayNotEmpty({ message: 'Say at least one day on which someone is there.' })
  @IsArray({ message: 'Expected a list of days.' })
  openDays!: number[]

  @Max(470, { message: 'Above 470 Hz strings would be strained: raise the reference A string by string.' })
  @Min(380, { message: 'Below 380 Hz is no reference A that anyone tunes to.' })
  @IsNumber({}, { message: 'Reference A: expected a frequency in Hz, such as 440.' })
  referenceA!: number

  @Max(0.999, { message: 'Nobody can be surer than 99.9 %.' })
  @Min(0.5, { message: 'Less than 50 % is not sure at all.' })
  @IsNumber({}, { message: 'How sure: expected a share, such as 0.95.' })
  sureChance!: number

  @Max(0.99, { message: 'At most 99 %: a string must come off to be changed.' })
  @Min(0.3, { message: 'Below 30 % nobody knows what a frame does.' })
  @IsNumber({}, { message: 'Load that is kept: expected a share, such as 0.85.' })
  loadShare!: number

  @Max(1_000_000, { message: 'An hour worth more than 10,000 can’t be right.' })
  @Min(0, { message: 'An hour is worth nothing, or more.' })
  @IsInt({ message: 'An hour’s work: expected hundredths of the house’s money.' })
  hourMinor!: number

  @MaxLength(40, { each: true, message: 'A name of at most 40 letters.' })
  @IsNotEmpty({ each: true, message: 'A person needs a name.' })
  @IsString({ each: true })
  @ArrayMaxSize(60, { message: 'At most sixty people.' })
  @IsArray({ message: 'Expected a list of names.' })
  people!: string[]
}
