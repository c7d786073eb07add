import { parseLength } from '@/core/units/length'
import { correctCoil } from '@/data/coils'
import { store } from '@/data/database'
import { CorrectRequest } from '@/features/stores/requests'
import { byId } from '../../../by-id'

export const POST = byId('coil', CorrectRequest, (id, { label, place, lengthLeft, unit }) =>
  correctCoil(store(), id, { label, place, lengthLeft: parseLength(lengthLeft, unit) }),
)
