import { parseLength } from '@/core/units/length'
import { correctCoil } from '@/data/stores/coils'
import { store } from '@/data/store/database'
import { CorrectRequest } from '@/boundary/requests/stores'
import { byId } from '../../../by-id'

export const POST = byId('coil', CorrectRequest, (id, { label, place, lengthLeft, unit }) =>
  correctCoil(store(), id, { label, place, lengthLeft: parseLength(lengthLeft, unit) }),
)
