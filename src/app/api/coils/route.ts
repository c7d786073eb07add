import { BookInRequest } from '@/boundary/requests/stores'
import { addCoil } from '@/data/stores/coils'
import { store } from '@/data/store/database'
import { handle } from '@/app/api/handle'
import { lengthOf } from '@/boundary/length-text'

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
