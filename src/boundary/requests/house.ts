import { IsIn, IsInt, IsNumber, Max, Min } from 'class-validator'
import { CURRENCIES } from '@/core/stores/money'

export class HouseRequest {
  @IsIn(['mm', 'in'], { message: 'The unit is mm or in.' })
  unit!: 'mm' | 'in'

  @Max(20, { message: 'More than 20 of each string is a shop.' })
  @Min(0, { message: 'There can’t be fewer than none.' })
  @IsInt({ message: 'Spares: expected a whole number.' })
  leastSpares!: number

  @IsIn(CURRENCIES, { message: 'Choose a currency.' })
  currency!: string

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
}
