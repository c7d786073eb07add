'use client'

import type { Route } from 'next'
import { usePathname, useRouter } from 'next/navigation'
import { startTransition, useEffect, useRef, useState } from 'react'
import { withQuery } from '@/boundary/paths'

/** Keys rest for so long before the list is looked through, ms. */
const RESTS = 180

/**
 * What a list is narrowed to. It is kept in the address, so that it can be gone back to, and the looking is done where
 * the records are.
 *
 * @param now - what the address says now; an empty text is left out of it
 * @returns what is asked, which may be ahead of the list; `ask` to change it, and `type` to change it key by key
 */
export function useFilter<Key extends string>(now: Readonly<Record<Key, string>>) {
  const router = useRouter()
  const path = usePathname()
  const [asked, setAsked] = useState(now)
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  useEffect(() => {
    // Who follows a link leaves the list: what was typed last must not call them back.
    const leave = ({ target }: MouseEvent) => {
      if (target instanceof Element && target.closest('a')) clearTimeout(timer.current)
    }
    document.addEventListener('click', leave, { capture: true })
    return () => {
      clearTimeout(timer.current)
      document.removeEventListener('click', leave, { capture: true })
    }
  }, [])
  const ask = (change: Partial<Record<Key, string>>, rests = 0) => {
    const next = { ...asked, ...change }
    setAsked(next)
    clearTimeout(timer.current)
    timer.current = setTimeout(() => {
      startTransition(() => router.replace(withQuery(path, next) as Route, { scroll: false }))
    }, rests)
  }
  return { asked, ask, type: (change: Partial<Record<Key, string>>) => ask(change, RESTS) }
}
