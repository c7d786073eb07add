import { Type } from 'class-transformer'
import { ArrayMaxSize, ArrayMinSize, IsArray, IsInt, IsObject, ValidateNested } from 'class-validator'

class CutRequest {
  @IsInt() jobId!: number
  @IsInt() coilId!: number
}

export class CuttingRequest {
  @ValidateNested({ each: true })
  @IsObject({ each: true })
  @Type(() => CutRequest)
  @ArrayMaxSize(200)
  @ArrayMinSize(1, { message: 'The plan cuts nothing.' })
  @IsArray()
  cuts!: CutRequest[]
}
