'use client'

import Link from 'next/link'
import type { Route } from 'next'
import { useRouter } from 'next/navigation'
import { useSyncExternalStore, useState } from 'react'
import { begunHere, sendBegun } from './begun'

const never = () => () => undefined

/** A go that was left half way: taken up again, or left there, with what was answered kept. */
export function HalfDone() {
  const router = useRouter()
  const text = useSyncExternalStore(
    never,
    () => JSON.stringify(begunHere()),
    () => 'null',
  )
  const [became, setBecame] = useState<string | null>(null)
  const begun = JSON.parse(text) as ReturnType<typeof begunHere>
  if (became !== null) return <p className="mt-3 font-semibold">{WORDS[became] ?? became}</p>
  if (!begun || begun.answers.length === 0) return null
  const leave = async () => {
    setBecame(await sendBegun(begun))
    router.refresh()
  }
  return (
    <p className="mt-3 flex flex-wrap items-center gap-3 border-l-4 border-ochre bg-ochre-wash p-3">
      <span className="flex-1">
        <strong>{begun.title}</strong> is half done: {begun.answers.length} of {begun.count} answered.
      </span>
      <Link className="button" href={begun.address as Route}>
        Go on with it
      </Link>
      <button type="button" className="button" onClick={() => void leave()}>
        Leave it there
      </button>
    </p>
  )
}

const WORDS: Readonly<Record<string, string>> = {
  kept: 'What was answered is kept.',
  waits: 'What was answered is kept on this device, and sent when the house answers again.',
}
