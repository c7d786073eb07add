import { useEffect, useState } from 'react'

/** Work that may be no longer wanted while it goes on. */
export interface Running {
  readonly isOver: () => boolean
  /** Says what is to be stopped then. */
  readonly stopWith: (stop: () => void) => void
}

/**
 * What is worked out elsewhere for some strings, anew whenever they change; null until it is there.
 *
 * @param pieces - `1,2,3`; nothing is worked out for none
 * @param work - the same function each time
 */
export function useWorkedOut<T>(
  slug: string,
  pieces: string,
  work: (slug: string, pieces: string, running: Running) => Promise<T>,
): T | null {
  const [got, setGot] = useState<{ readonly of: string; readonly value: T } | null>(null)
  useEffect(() => {
    if (pieces === '') return
    let isOver = false
    let stop = () => {}
    const running = {
      isOver: () => isOver,
      stopWith: (how: () => void) => {
        stop = how
      },
    }
    void work(slug, pieces, running).then((value) => {
      if (!isOver) setGot({ of: pieces, value })
    })
    return () => {
      isOver = true
      stop()
    }
  }, [slug, pieces, work])
  return got?.of === pieces ? got.value : null
}
