/**
 * The ear, off the main thread: takes sound block by block, and answers when there is something to tell.
 */
import { expose } from 'comlink'
import type { Expected } from '@/core/ear/comb'
import { Listener, type Among, type Heard } from '@/core/ear/listener'

let listener: Listener | null = null

const api = {
  /** Begins anew, for a string that should be there, or one of several. */
  listen(rate: number, expected: Expected, among: Among | null): void {
    listener = new Listener(rate, expected, among)
  },
  /** Another string's turn, while it listens. */
  turnTo(expected: Expected, among: Among | null): void {
    listener?.turnTo(expected, among)
  },
  hear(block: Float32Array): Heard | null {
    return listener?.hear(block) ?? null
  },
}

export type EarApi = typeof api
expose(api)
