'use client'

import { useEffect, useRef } from 'react'
import { useBrowserHas } from './use-browser-has'

interface Heard extends Event {
  readonly results: {
    readonly length: number
    readonly [i: number]: { readonly [j: number]: { readonly transcript: string } }
  }
}

/** What is used of the Web Speech API's recogniser. */
interface Recogniser extends EventTarget {
  lang: string
  continuous: boolean
  processLocally: boolean
  onresult: ((event: Heard) => void) | null
  onend: (() => void) | null
  start(): void
  abort(): void
}

type RecogniserClass = (new () => Recogniser) & {
  available?: (options: { langs: string[]; processLocally: boolean }) => Promise<string>
}

const recogniser = () => (window as unknown as { SpeechRecognition?: RecogniserClass }).SpeechRecognition

/**
 * Listens for single words while `on`: only with a recogniser that works on the device itself, so that nothing said at
 * the bench leaves it. `can` is false where the browser has none.
 *
 * @param commands - by the word that is said, lower case
 */
export function useVoiceCommands(on: boolean, commands: Readonly<Record<string, () => void>>) {
  const can = useBrowserHas(() => recogniser()?.available !== undefined)
  const latest = useRef(commands)
  useEffect(() => {
    latest.current = commands
  })
  useEffect(() => {
    const Recogniser = recogniser()
    if (!on || !Recogniser?.available) return
    let over = false
    let heard: Recogniser | null = null
    const listen = () => {
      if (over) return
      heard = new Recogniser()
      heard.lang = 'en-GB'
      heard.continuous = true
      heard.processLocally = true
      heard.onresult = ({ results }) => {
        const words = results[results.length - 1]?.[0]?.transcript.trim().toLowerCase().split(/\s+/) ?? []
        latest.current[words.at(-1) ?? '']?.()
      }
      heard.onend = listen
      heard.start()
    }
    void Recogniser.available({ langs: ['en-GB'], processLocally: true }).then((state) => {
      if (state === 'available') listen()
    })
    return () => {
      over = true
      heard?.abort()
    }
  }, [on])
  return can
}
