'use client'

import { Printer } from 'lucide-react'

/** Prints the sheet at hand. */
export function PrintButton({ isMain = true }: { readonly isMain?: boolean }) {
  return (
    <button type="button" className={`button ${isMain ? 'button-main' : ''}`} onClick={() => window.print()}>
      <Printer size={16} aria-hidden /> Print
    </button>
  )
}
