'use client'

import { Dialog } from 'radix-ui'

const KEYS: readonly (readonly [keys: string, what: string])[] = [
  ['← →', 'In a string field: the next longer or shorter string'],
  ['Page Up, Page Down', 'In a string field: an octave up or down'],
  ['Home, End', 'In a string field: the shortest or the longest string'],
  ['/', 'Type a string’s name'],
  ['Space, Enter, Page Down', 'In the steps of a fitting: done, go on'],
  ['Backspace, Page Up', 'In the steps of a fitting: go back'],
  ['← →, Page Up, Page Down', 'On a knot: a stage back or on'],
  ['Shift and arrows', 'On a knot that has the focus: turn it'],
  ['?', 'This list'],
]

/** Every key that does something, over the page. */
export function KeyDialog({ close }: { readonly close: () => void }) {
  return (
    <Dialog.Root open onOpenChange={(open) => !open && close()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-50 bg-ink/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="sheet fixed top-1/2 left-1/2 z-50 w-[min(34rem,92vw)] -translate-x-1/2 -translate-y-1/2 p-6"
        >
          <Dialog.Title className="text-xl font-semibold">Keys</Dialog.Title>
          <dl className="ruled mt-3">
            {KEYS.map(([keys, what]) => (
              <div key={keys} className="grid grid-cols-[11rem_1fr] gap-4 py-2">
                <dt className="font-semibold">{keys}</dt>
                <dd>{what}</dd>
              </div>
            ))}
          </dl>
          <Dialog.Close className="button mt-4">Close</Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
