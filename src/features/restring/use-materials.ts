import { useEffect, useState } from 'react'
import { calls } from '@/boundary/calls'
import type { CutPlan } from '@/core/stores/cut-plan'
import type { CuttingBench } from '@/core/stores/cutting-bench'
import { send } from '@/ui/shell/send'
import { startCutPlan, type Planning } from '@/workers/plans'

/** What a set is cut from. */
export interface Materials {
  readonly bench: CuttingBench
  readonly plan: CutPlan
}

export type MaterialsAnswer =
  { readonly ok: true; readonly value: Materials } | { readonly ok: false; readonly sentence: string }

/** The cutting plan of some strings, worked out anew in a worker for every choice of them; null until it is there. */
export function useMaterials(slug: string, chosen: readonly number[]): MaterialsAnswer | null {
  const [got, setGot] = useState<{ readonly of: readonly number[]; readonly answer: MaterialsAnswer } | null>(
    null,
  )
  useEffect(() => {
    if (chosen.length === 0) return
    let isOver = false
    let running: Planning<CutPlan> | null = null
    const plan = async (): Promise<MaterialsAnswer> => {
      const asked = await send(calls.restringCutting(slug, chosen.join()), {})
      if (!asked.ok) return { ok: false, sentence: asked.sentence }
      const bench = asked.value
      if (isOver) return NOT_RECKONED
      running = startCutPlan(bench.jobs, bench.coils)
      return { ok: true, value: { bench, plan: await running.answer } }
    }
    void plan()
      .catch(() => NOT_RECKONED)
      .then((answer) => {
        if (!isOver) setGot({ of: chosen, answer })
      })
    return () => {
      isOver = true
      running?.stop()
    }
  }, [slug, chosen])
  return got?.of === chosen ? got.answer : null
}

const NOT_RECKONED: MaterialsAnswer = {
  ok: false,
  sentence: 'What it is cut from could not be reckoned on this device.',
}
