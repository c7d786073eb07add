import { IsString, MaxLength } from 'class-validator'

export class RestoreRequest {
  @MaxLength(80, { message: 'There is no backup of that name.' })
  @IsString({ message: 'Say which backup.' })
  name!: string
}
