import { IsIn, IsInt, IsNumber, Max, Min } from 'class-validator'
import {
  ANCHOR_PLACES, BECKETS, CUTTINGS, KNOT_SETTINGS, SLACK_INTERVALS, SPACING_RULES, TAIL_TRIMS, THREADINGS, type Habits, type SlackInterval,
} from '@/core/fitting/habits'
import { CURRENCIES } from '@/core/stores/money'
import { IsLengthText } from '@/data/http/length-text'

export class HouseRequest {
  @IsIn(['mm', 'in'], { message: 'The unit is mm or in.' })
  unit!: 'mm' | 'in'

  @Min(1, { message: 'One wrap is the least that holds.' })
  @Max(8, { message: 'More than eight wraps only add stretch and an untidy pin.' })
  @IsNumber({}, { message: 'Wraps: expected a number such as 3.' })
  wraps!: number

  @IsIn(Object.keys(SLACK_INTERVALS), { message: 'Slack by pins: a fifth, half an octave or an octave.' })
  slackInterval!: SlackInterval

  @IsIn(SPACING_RULES, { message: 'Spacing: along the neck or square across.' })
  spacing!: Habits['spacing']

  @IsIn(BECKETS, { message: 'The becket is set before turning or after half a turn.' })
  becket!: Habits['becket']

  @IsIn(THREADINGS, { message: 'Threading: from inside or from the front.' })
  threading!: Habits['threading']

  @IsIn(ANCHOR_PLACES, { message: 'The anchor sits in front of the bight or behind it.' })
  anchorPlace!: Habits['anchorPlace']

  @IsIn(KNOT_SETTINGS, { message: 'The knot is set by a hard pull or drawn up by tuning.' })
  knotSet!: Habits['knotSet']

  @IsIn(CUTTINGS, { message: 'Cutting: choose one of the three ways.' })
  cutting!: Habits['cutting']

  @IsIn(TAIL_TRIMS, { message: 'The tail is trimmed at once, after hours or after settling.' })
  tailTrim!: Habits['tailTrim']

  @Max(20, { message: 'More than 20 of each string is a shop.' })
  @Min(0, { message: 'There can’t be fewer than none.' })
  @IsInt({ message: 'Spares: expected a whole number.' })
  leastSpares!: number

  @IsIn(CURRENCIES, { message: 'Choose a currency.' })
  currency!: string

  @IsLengthText({ what: 'The tail', least: 0.01, most: 0.3 })
  tail!: string

  @Min(2, { message: 'Nobody retunes for less than two cents.' })
  @Max(60, { message: 'Let no string fall by more than 60 cents before it is brought back.' })
  @IsNumber({}, { message: 'Retune at: expected a number of cents.' })
  retuneAtCents!: number

  @Min(1, { message: 'One cent is the least that can be held.' })
  @Max(30, { message: 'More than 30 cents is out of tune to anyone.' })
  @IsNumber({}, { message: 'Holds within: expected a number of cents.' })
  holdsWithinCents!: number
}
