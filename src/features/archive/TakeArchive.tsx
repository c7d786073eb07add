'use client'

import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { setUpCalls } from '@/boundary/endpoints-set-up'
import type { ImportSummary } from '@/boundary/import-summary'
import { dateText } from '@/ui/format/time'
import { useAnnounce } from '@/ui/shell/UndoToast'
import { base64Of } from '@/ui/import/base64-of'
import { send } from '@/ui/shell/send'
import { useWorkshop } from '@/ui/units'

interface Looked {
  readonly zip: string
  readonly taken: ImportSummary
}

/** Chooses an archive, shows what it will do, and only then takes it in. */
export function TakeArchive() {
  const router = useRouter()
  const announce = useAnnounce()
  const [looked, setLooked] = useState<Looked | null>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const [busy, setBusy] = useState(false)

  const look = async (file: File | undefined) => {
    setLooked(null)
    setProblem(null)
    if (!file) return
    setBusy(true)
    const zip = await base64Of(file)
    const answer = await send(setUpCalls.lookAtArchive, { zip })
    setBusy(false)
    if (!answer.ok) return setProblem(answer.sentence)
    setLooked({ zip, taken: answer.value })
  }
  const take = async () => {
    if (!looked) return
    setBusy(true)
    const answer = await send(setUpCalls.takeArchive, { zip: looked.zip })
    setBusy(false)
    if (!answer.ok) return setProblem(answer.sentence)
    setLooked(null)
    announce(`The archive of ${answer.value.workshop || 'the house'} is taken in.`, answer.value.actionId)
    router.refresh()
  }
  return (
    <div className="mt-4">
      <label className="block">
        <span className="font-semibold">Its file</span>
        <input
          type="file"
          accept=".zip,application/zip"
          className="entry mt-1"
          disabled={busy}
          onChange={(event) => void look(event.target.files?.[0])}
        />
      </label>
      {busy && <p className="mt-3 text-soft">It is being read…</p>}
      {problem && (
        <p role="alert" className="mt-3 font-semibold text-ochre">
          {problem}
        </p>
      )}
      {looked && <WhatItDoes taken={looked.taken} busy={busy} onTake={take} />}
    </div>
  )
}

interface WhatItDoesProps {
  readonly taken: ImportSummary
  readonly busy: boolean
  readonly onTake: () => void
}

function WhatItDoes({ taken, busy, onTake }: WhatItDoesProps) {
  const { from, workshop, writtenAt, tables, instruments, here } = taken
  const { timeZone } = useWorkshop()
  const nothing = tables.length === 0 && instruments.length === 0
  return (
    <div className="mt-4 border-t border-rule pt-3" aria-live="polite">
      <p>
        {LEADS[from](workshop || 'a house without a name')}, written on{' '}
        {dateText(Date.parse(writtenAt), timeZone)}.
      </p>
      {from === 'another' && (
        <>
          {instruments.length > 0 && <p className="mt-2">These are added: {instruments.join(', ')}.</p>}
          {here.length > 0 && (
            <p className="mt-2">These are here, and stay as they are: {here.join(', ')}.</p>
          )}
          <p className="mt-2 text-sm text-soft">Its stores, orders and history stay with it.</p>
        </>
      )}
      {tables.length > 0 && (
        <table className="mt-2 w-full text-sm tabular-nums">
          <thead className="text-soft">
            <tr className="border-b border-ink text-right">
              <th scope="col" className="text-left font-normal">
                What
              </th>
              <th scope="col" className="font-normal">
                added
              </th>
              <th scope="col" className="font-normal">
                changed
              </th>
              <th scope="col" className="font-normal">
                the same
              </th>
            </tr>
          </thead>
          <tbody>
            {tables.map(({ name, added, changed, same }) => (
              <tr key={name} className="border-b border-rule text-right">
                <th scope="row" className="py-1 text-left font-normal">
                  {name.replaceAll('_', ' ')}
                </th>
                <td>{added}</td>
                <td>{changed}</td>
                <td>{same}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {nothing ? (
        <p className="mt-3 font-semibold">There is nothing in it that is not here.</p>
      ) : (
        <button type="button" className="button button-main mt-3" disabled={busy} onClick={onTake}>
          Take it in
        </button>
      )}
    </div>
  )
}

const LEADS: Record<ImportSummary['from'], (workshop: string) => string> = {
  whole: (workshop) => `All of ${workshop} moves in here`,
  own: () => 'It is this house’s own',
  another: (workshop) => `It is of another house, ${workshop}`,
}
