import { workshopSettings } from '@/data/workshop/settings'
import { store } from '@/data/store/database'
import { benchIn, nameAtBench } from '@/ui/shell/at-the-bench'

/**
 * Who of the house's people said to be at the bench, on the device that sends this; null where nobody did. What waited there
 * says who it was then.
 */
export function atTheBench(request: Request): string | null {
  const told = request.headers.get('x-done-by') ?? benchIn(request.headers.get('cookie') ?? '')
  return nameAtBench(told, workshopSettings(store()).people)
}
