import { houseSettings } from '@/data/house/house'
import { store } from '@/data/store/database'
import { AT_THE_BENCH, nameAtBench } from '@/ui/shell/at-the-bench'

/** Who of the house's people said to be at the bench, on the device that sends this; null where nobody did. */
export function atTheBench(request: Request): string | null {
  const cookies = request.headers.get('cookie') ?? ''
  const told = cookies
    .split(/;\s*/)
    .find((one) => one.startsWith(`${AT_THE_BENCH}=`))
    ?.slice(AT_THE_BENCH.length + 1)
  return nameAtBench(told, houseSettings(store()).people)
}
