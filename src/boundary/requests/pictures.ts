import { IsBase64, IsIn, IsInt, IsNotEmpty, IsOptional, IsString, Max, MaxLength, Min } from 'class-validator'
import { PICTURE_KINDS, type PictureKind } from '@/core/pictures/picture-kind'

/** A picture of an instrument, or of one of its strings. */
export class PictureRequest {
  static readonly isFile = true

  @IsString({ message: 'Which instrument it shows is missing.' })
  instrument!: string

  @Min(1, { message: 'Strings are counted from 1.' })
  @Max(999, { message: 'No instrument has so many strings.' })
  @IsInt({ message: 'Expected the string’s number, counted from the top.' })
  @IsOptional()
  string?: number

  @Min(1)
  @IsInt({ message: 'Expected the job’s number.' })
  @IsOptional()
  job?: number

  @IsIn(PICTURE_KINDS, { message: `Expected one of: ${PICTURE_KINDS.join('; ')}.` })
  kind!: PictureKind

  @MaxLength(200, { message: 'Say it in 200 letters.' })
  @IsString({ message: 'Expected what there is to say of it.' })
  note!: string

  @MaxLength(8_000_000, { message: 'That picture is larger than 6 MB. Take it in a lower quality.' })
  @IsBase64({}, { message: 'Expected the bytes of a JPEG picture.' })
  @IsNotEmpty({ message: 'The picture is empty.' })
  @IsString({ message: 'Choose a picture.' })
  jpeg!: string
}
