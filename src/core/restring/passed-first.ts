/**
 * Goes in an order in which no string that is new is loosened again: along a scroll the pin that is passed first is wound first,
 * in whichever go.
 */
import type { Batches } from './batch'

type Goes = readonly (readonly number[])[]

/**
 * Goes put so that whatever crosses a string is changed in the same go or in a later one; otherwise in the order given.
 *
 * @returns null where goes cross each other both ways, and no order will do
 */
export function passedFirst(batches: Batches, goes: Goes): Goes | null {
  const isAfter = (first: readonly number[], second: readonly number[]) =>
    first.some((id) => second.some((other) => batches.piece(id).crossing.includes(other)))
  const left = [...goes]
  const order: (readonly number[])[] = []
  while (left.length > 0) {
    const next = left.findIndex((go) => !left.some((other) => other !== go && isAfter(other, go)))
    if (next < 0) return null
    order.push(...left.splice(next, 1))
  }
  return order
}
