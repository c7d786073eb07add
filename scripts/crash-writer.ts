/** Books coils in and cuts them without end, one action each, and says the id of each action once it is finished. */
import { addCoil, cutCoil } from '@/data/stores/coils'
import { openStore } from '@/data/store/database'
const store = openStore({ folder: process.argv[2]! })
for (;;) {
  const { actionId } = store.act({ kind: 'test', summary: 'Booked in and cut' }, () => {
    const id = addCoil(store, {
      label: 'Packet',
      construction: { kind: 'plain', material: 'gut', gauge: 0.001 },
      colour: 'natural',
      tensionClass: 'concert',
      maker: '',
      line: '',
      place: '',
      boughtAt: 1,
      boughtLength: 1,
    })
    cutCoil(store, id, 0.25, null)
  })
  process.stdout.write(actionId + '\n')
}
