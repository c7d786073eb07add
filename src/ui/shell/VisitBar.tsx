'use client'

import { useRouter } from 'next/navigation'
import { endpoints } from '@/boundary/endpoints'
import { pages } from '@/boundary/paths'
import { send } from './send'

/** Says that another house is looked around in, with the way back. */
export function VisitBar() {
  const router = useRouter()
  const leave = async () => {
    const answer = await send(endpoints.leaveShelf, {})
    if (!answer.ok) return
    router.push(pages.today)
    router.refresh()
  }
  return (
    <div
      role="status"
      className="flex flex-wrap items-center justify-center gap-x-4 gap-y-1 bg-ochre-wash px-4 py-1.5 text-sm print:hidden"
    >
      <span>You are looking around the Lantern Shelf. What you do here stays apart from your house.</span>
      <button type="button" className="min-h-11 font-semibold underline underline-offset-4" onClick={leave}>
        Back to my house
      </button>
    </div>
  )
}
