import { BookInRequest } from '@/features/stores/requests'
import { addCoil } from '@/data/coils'
import { store } from '@/data/database'
import { handle } from '@/data/http/handle'
import { lengthOf } from '@/data/http/length-text'

export function POST(request: Request) {
  return handle(
    request,
    BookInRequest,
    ({ label, unit, material, gauge, length, colour, tensionClass, end, maker, line, place }) => {
      const { actionId, result } = store().act({ kind: 'stores', summary: `${label} booked in` }, () =>
        addCoil(store(), {
          label,
          colour,
          tensionClass,
          end,
          construction: { kind: 'plain', material, gauge: lengthOf(gauge, unit) },
          maker: maker ?? '',
          line: line ?? '',
          place: place ?? '',
          boughtAt: store().now(),
          boughtLength: lengthOf(length, unit),
        }),
      )
      return { actionId, coilId: result }
    },
  )
}
