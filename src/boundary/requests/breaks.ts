import { IsIn } from 'class-validator'
import { BREAK_SITES, type BreakSite } from '@/core/wear/break-sites'
import { StringRequest } from '../string-request'

export class BreakRequest extends StringRequest {
  @IsIn(BREAK_SITES, { message: 'Say where it gave way: choose one of the places.' })
  site!: BreakSite
}
