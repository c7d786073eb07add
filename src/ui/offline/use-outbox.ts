'use client'

import { useSyncExternalStore } from 'react'
import { onOutbox, outboxNow, outboxOnServer, type Outbox } from './outbox'

/** What waits on this device for the house, as it changes. */
export function useOutbox(): Outbox {
  return useSyncExternalStore(onOutbox, outboxNow, outboxOnServer)
}
