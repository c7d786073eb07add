'use client'

import { useRef, type PointerEvent } from 'react'
import { flushSync } from 'react-dom'

/** A spot in the drawing's own units. */
export interface Spot {
  readonly x: number
  readonly y: number
}

/**
 * Dragging something in an SVG drawing: tells where the pointer is, in the drawing's own units, and where it came from.
 *
 * @returns handlers for the handle; anything that is dragged can also be keyed, so these are for pointers alone
 */
export function useDrag(onMove: (to: Spot, from: Spot) => void) {
  const last = useRef<Spot | null>(null)
  const spotOf = (event: PointerEvent<SVGElement>): Spot | null => {
    const svg = event.currentTarget.ownerSVGElement
    const matrix = svg?.getScreenCTM()?.inverse()
    return matrix ? new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix) : null
  }
  return {
    onPointerDown: (event: PointerEvent<SVGElement>) => {
      event.preventDefault()
      event.currentTarget.setPointerCapture(event.pointerId)
      last.current = spotOf(event)
    },
    onPointerMove: (event: PointerEvent<SVGElement>) => {
      const to = spotOf(event)
      if (!last.current || !to) return
      const from = last.current
      last.current = to
      // At once, and not when the scheduler comes to it: the figures follow the hand within a frame.
      flushSync(() => onMove(to, from))
    },
    onPointerUp: () => {
      last.current = null
    },
    onPointerCancel: () => {
      last.current = null
    },
  }
}
