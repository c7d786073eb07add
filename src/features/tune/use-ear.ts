'use client'

import { useCallback, useEffect, useRef, useState } from 'react'
import type { Expected } from '@/core/ear/comb'
import type { Among, Heard } from '@/core/ear/listener'
import { startEar, type EarWorker } from '@/workers/ear'
import { openMicrophone, type Microphone } from './microphone'

const BLOCK = 1024

export interface Ear {
  /** What was heard last; null before anything was. */
  readonly heard: Heard | null
  readonly isListening: boolean
  /** Why it can't listen. */
  readonly sentence: string | null
  /** Listens by the microphone; each reading is handed on besides. */
  readonly listen: (onHeard: (heard: Heard) => void) => Promise<void>
  readonly stop: () => void
  /** Hears samples that are there already. */
  readonly hearAll: (samples: Float32Array, rate: number) => Promise<Heard | null>
}

/**
 * Listens to a string by the microphone, or to samples that are handed to it.
 *
 * @param among - all strings that may be heard instead; while it listens, another turn is taken up by itself
 */
export function useEar(expected: Expected, among: Among | null = null): Ear {
  const [heard, setHeard] = useState<Heard | null>(null)
  const [isListening, setListening] = useState(false)
  const [sentence, setSentence] = useState<string | null>(null)
  const worker = useRef<EarWorker | null>(null)
  const microphone = useRef<Microphone | null>(null)
  /** Which of the calls to hear samples is the latest: one that another overtook hears no more. */
  const latest = useRef(0)

  const ear = useCallback(() => (worker.current ??= startEar()).ear, [])
  const stop = useCallback(() => {
    microphone.current?.stop()
    microphone.current = null
    setListening(false)
  }, [])
  useEffect(
    () => () => {
      microphone.current?.stop()
      microphone.current = null
      worker.current?.end()
      worker.current = null
    },
    [],
  )

  useEffect(() => {
    if (microphone.current) void worker.current?.ear.turnTo(expected, among)
  }, [expected, among])

  const listen = useCallback(
    async (onHeard: (one: Heard) => void) => {
      setSentence(null)
      try {
        const hears = ear()
        const opened = await openMicrophone(
          (block) =>
            void hears.hear(block).then((one) => {
              if (!one) return
              setHeard(one)
              onHeard(one)
            }),
          () => {
            stop()
            setSentence('The microphone was taken away. Nothing was logged.')
          },
        )
        await hears.listen(opened.rate, expected, among)
        microphone.current = opened
        setListening(true)
      } catch (error) {
        setSentence((error as Error).message)
      }
    },
    [ear, expected, among, stop],
  )

  const hearAll = useCallback(
    async (samples: Float32Array, rate: number) => {
      stop()
      setSentence(null)
      const mine = (latest.current += 1)
      const hears = ear()
      await hears.listen(rate, expected, among)
      let last: Heard | null = null
      for (let from = 0; from < samples.length; from += BLOCK) {
        const one = await hears.hear(samples.slice(from, from + BLOCK))
        if (latest.current !== mine) return null
        if (!one) continue
        last = one
        setHeard(one)
      }
      if (!last) setHeard(null)
      return last
    },
    [ear, expected, among, stop],
  )
  return { heard, isListening, sentence, listen, stop, hearAll }
}
