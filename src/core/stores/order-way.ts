/** How an order reaches a supplier and its answer comes back. */

/** A simulated supplier takes orders by itself; all others are written to, called or visited by somebody. */
export const SENT_BY = ['simulator', 'mail', 'telephone', 'shop'] as const
export type SentBy = (typeof SENT_BY)[number]
/** The ways that a person can say they took. */
export const SENT_BY_HAND = ['mail', 'telephone', 'shop'] as const satisfies readonly SentBy[]
export type SentByHand = (typeof SENT_BY_HAND)[number]

/** What a supplier says of a line. */
export const LINE_ANSWERS = ['confirmed', 'back-ordered', 'refused', 'substituted'] as const
export type LineAnswer = (typeof LINE_ANSWERS)[number]

/** A supplier’s name as every page shows it: one that answers by itself is told from one that people answer for. */
export const supplierName = ({
  name,
  simulated,
}: {
  readonly name: string
  readonly simulated: boolean
}): string => (simulated ? `${name} (simulated)` : name)
