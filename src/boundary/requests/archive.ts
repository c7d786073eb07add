import { IsBase64, IsNotEmpty, IsString, MaxLength } from 'class-validator'

/** A zip as it lies in the browser, in base64. */
export class ArchiveRequest {
  static readonly isFile = true

  @MaxLength(80_000_000, {
    message: 'That is larger than what is taken in: 60 MB are taken at most. Write one without pictures.',
  })
  @IsBase64({}, { message: 'Expected the bytes of a zip file.' })
  @IsNotEmpty({ message: 'The file is empty.' })
  @IsString({ message: 'Choose the archive’s file.' })
  zip!: string
}
