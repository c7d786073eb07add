'use client'

import { useCallback } from 'react'
import { endpoints } from '@/boundary/endpoints'
import type { StepKey } from '@/core/fitting/step'
import { sendOrQueue } from '@/ui/offline/outbox'

interface Mark {
  readonly step: StepKey
  readonly done: boolean
  readonly jobs: readonly [number, ...number[]]
}

/**
 * Marks steps done without making anyone wait: each is kept in this browser until the house has it.
 *
 * @returns whether the house has it by now; what it does not take is told by the bar at the top
 */
export function useMarks() {
  return useCallback(
    async (mark: Mark, title: string): Promise<boolean> =>
      (await sendOrQueue(
        endpoints.markStep(mark.jobs[0]),
        mark,
        `“${title}” ${mark.done ? 'done' : 'not done yet'}`,
        true,
      )) !== 'waits',
    [],
  )
}
