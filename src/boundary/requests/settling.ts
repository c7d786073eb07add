import { IsBoolean, IsInt, IsNumber, Max, Min } from 'class-validator'

export class ReadingRequest {
  @IsInt({ message: 'Which string was read is missing.' })
  fittedId!: number

  @IsInt({ message: 'Which position was read is missing.' })
  positionId!: number

  @Min(-1200, { message: 'More than an octave flat is a string off its pitch, not a reading.' })
  @Max(300, { message: 'More than three semitones sharp can’t be right.' })
  @IsNumber({}, { message: 'Cents: expected a number such as −12.' })
  cents!: number

  @IsBoolean({ message: 'Say whether it was brought back to pitch.' })
  broughtBack!: boolean
}
