import { endpoints } from '@/boundary/endpoints'
import type { CutPlan } from '@/core/stores/cut-plan'
import type { CuttingBench } from '@/core/stores/cutting-bench'
import { send } from '@/ui/shell/send'
import { startCutPlan } from '@/workers/plans'
import { useWorkedOut, type Running } from './use-worked-out'

/** What a set is cut from. */
export interface Materials {
  readonly bench: CuttingBench
  readonly plan: CutPlan
}

export type MaterialsAnswer =
  { readonly ok: true; readonly value: Materials } | { readonly ok: false; readonly sentence: string }

/** The cutting plan of some strings, worked out in a worker; null until it is there. */
export function useMaterials(slug: string, chosen: readonly number[]): MaterialsAnswer | null {
  return useWorkedOut(slug, chosen.join(), cutFor)
}

async function cutFor(slug: string, pieces: string, running: Running): Promise<MaterialsAnswer> {
  const asked = await send(endpoints.restringCutting(slug, pieces), {})
  if (!asked.ok) return { ok: false, sentence: asked.sentence }
  if (running.isOver()) return NOT_RECKONED
  const bench = asked.value
  const planning = startCutPlan(bench.jobs, bench.coils)
  running.stopWith(planning.stop)
  try {
    return { ok: true, value: { bench, plan: await planning.answer } }
  } catch {
    return NOT_RECKONED
  }
}

const NOT_RECKONED: MaterialsAnswer = {
  ok: false,
  sentence: 'What it is cut from could not be reckoned on this device.',
}
