'use client'

import { useEffect, useState, type ComponentType } from 'react'

/** Where it is told what waits for the house. What tells it comes once the page stands: no first load waits for it. */
export function WaitingPlace() {
  const [Bar, setBar] = useState<ComponentType | null>(null)
  useEffect(() => {
    // With what `deliver` asks for, which could not be fetched once the house is away.
    Promise.all([import('./WaitingBar'), import('./outbox')]).then(
      ([{ WaitingBar }]) => setBar(() => WaitingBar),
      () => {},
    )
  }, [])
  return Bar && <Bar />
}
