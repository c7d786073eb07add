'use client'

import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { Undo2 } from 'lucide-react'
import { endpoints } from '@/boundary/endpoints'
import { pages } from '@/boundary/paths'
import type { HistoryPage, LoggedAction } from '@/data/views/actions-log'
import { dateText, clockText } from '@/ui/format/time'
import { useAnnounce } from '@/ui/shell/UndoToast'
import { send } from '@/ui/shell/send'
import { useWorkshop } from '@/ui/units'
import { HistoryFilter, type HistoryFilterText } from './HistoryFilter'

interface HistorySheetProps extends HistoryPage {
  readonly filter: HistoryFilterText
  /** Newer actions were left behind. */
  readonly isBack: boolean
  readonly kinds: readonly string[]
  readonly instruments: readonly { readonly slug: string; readonly name: string }[]
}

/** Everything that was done, newest first; each can be undone, an undoing too. */
export function HistorySheet({ actions, before, filter, isBack, kinds, instruments }: HistorySheetProps) {
  const { timeZone } = useWorkshop()
  const router = useRouter()
  const announce = useAnnounce()
  const [problem, setProblem] = useState<{ id: number; sentence: string } | null>(null)
  const undo = async (action: LoggedAction) => {
    const answer = await send(endpoints.undo(action.id), {})
    setProblem(answer.ok ? null : { id: action.id, sentence: answer.sentence })
    if (!answer.ok) return
    announce(`Undone: ${action.summary}.`, answer.value.actionId)
    router.refresh()
  }
  return (
    <div className="sheet p-5">
      <h1 className="text-2xl font-semibold">History</h1>
      <p className="text-soft">
        Everything that was done, newest first. Undoing one is an entry of its own; nothing is wiped out.
      </p>
      <HistoryFilter filter={filter} kinds={kinds} instruments={instruments} />
      {isBack && (
        <p className="mt-2 text-sm">
          <Link
            className="inline-flex min-h-8 items-center underline underline-offset-2"
            href={pages.historyOf({ ...filter })}
          >
            Back to the newest
          </Link>
        </p>
      )}
      {actions.length === 0 && <p className="mt-4">Nothing of that was done.</p>}
      <ol className="ruled mt-3">
        {actions.map((action) => (
          <li
            key={action.id}
            className="grid items-center gap-x-4 py-1.5 sm:grid-cols-[10rem_minmax(0,1fr)_auto]"
          >
            <time className="text-sm text-soft">
              {dateText(action.at, timeZone)}, {clockText(action.at, timeZone)}
            </time>
            <span>
              <span className={action.undone ? 'text-soft line-through' : ''}>{action.summary}</span>
              {action.by !== null && <span className="text-sm text-soft"> by {action.by}</span>}
            </span>
            {action.undone ? (
              <span className="text-sm text-soft">undone</span>
            ) : (
              <button
                type="button"
                className="inline-flex min-h-11 items-center gap-2 px-2 text-sm font-semibold text-verdigris hover:underline"
                onClick={() => undo(action)}
                aria-label={`Undo: ${action.summary}`}
              >
                <Undo2 size={16} aria-hidden /> {action.kind === 'undo' ? 'Do again' : 'Undo'}
              </button>
            )}
            {problem?.id === action.id && (
              <p role="alert" className="text-sm font-semibold text-ochre sm:col-span-3">
                {problem.sentence}
              </p>
            )}
          </li>
        ))}
      </ol>
      {before !== null && (
        <p className="mt-4">
          <Link
            className="button"
            href={pages.historyOf({ ...filter, before: String(before) })}
            prefetch={false}
          >
            Show what was done before
          </Link>
        </p>
      )}
    </div>
  )
}
