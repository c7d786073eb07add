'use client'

import { Mail } from 'lucide-react'
import { callsByHand } from '@/boundary/endpoints-by-hand'
import { SENT_BY_HAND, type SentBy } from '@/core/stores/order-way'
import type { OrderView } from '@/data/views/orders-view'
import type { useAct } from '@/ui/shell/use-act'

/** Does something with an order. */
export type Act = ReturnType<typeof useAct>['act']

/** How an order was sent, as it follows “Sent”. */
export const SENT_WORDS: Readonly<Record<SentBy, string>> = {
  simulator: 'to the simulator',
  mail: 'by mail',
  telephone: 'by telephone',
  shop: 'in the shop',
}
const DID: Readonly<Record<(typeof SENT_BY_HAND)[number], string>> = {
  mail: 'I sent it by mail',
  telephone: 'I telephoned',
  shop: 'I ordered in the shop',
}

interface SendByHandProps {
  readonly order: OrderView
  /** As text to paste into a mail. */
  readonly text: string
  readonly act: Act
}

/** An order to a real supplier: a person sends it, and says how. */
export function SendByHand({ order, text, act }: SendByHandProps) {
  const mail = `mailto:?${new URLSearchParams({ subject: `Order ${order.id}`, body: text })
    .toString()
    .replaceAll('+', '%20')}`
  return (
    <>
      <p className="mt-2 text-sm text-soft">
        Send the order yourself: print it, save the CSV, or open it as a mail. Then record how you sent it.
      </p>
      <a className="button mt-2 w-full" href={mail}>
        <Mail size={16} aria-hidden /> Open as a mail
      </a>
      <div className="mt-3 grid gap-2">
        {SENT_BY_HAND.map((by, i) => (
          <button
            key={by}
            type="button"
            className={`button ${i === 0 ? 'button-main' : ''}`}
            onClick={() =>
              act(callsByHand.markSent(order.id), { by }, `Order ${order.id} sent ${SENT_WORDS[by]}.`)
            }
          >
            {DID[by]}
          </button>
        ))}
      </div>
    </>
  )
}
