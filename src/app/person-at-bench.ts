import { cookies } from 'next/headers'
import { workshopSettings } from '@/data/workshop/settings'
import { store } from '@/data/store/database'
import { AT_THE_BENCH, nameAtBench } from '@/ui/shell/at-the-bench'

/** Who of the house's people said to be at the bench, on the device that asks for a page; null where nobody did. */
export async function personAtBench(): Promise<string | null> {
  return nameAtBench((await cookies()).get(AT_THE_BENCH)?.value, workshopSettings(store()).people)
}
