'use client'

import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { setUpCalls } from '@/boundary/endpoints-set-up'
import type { BackupsView } from '@/data/views/backups-view'
import { momentText } from '@/ui/format/time'
import { send } from '@/ui/shell/send'
import { useWorkshop } from '@/ui/units'

/** The house as it was on earlier days: taken by itself every day, and brought back when it must be. */
export function BackupsSheet({ view: { folder, also, backups } }: { readonly view: BackupsView }) {
  const { timeZone } = useWorkshop()
  const router = useRouter()
  const [chosen, setChosen] = useState<string | null>(null)
  const [isBusy, setIsBusy] = useState(false)
  const [said, setSaid] = useState<{ readonly sentence: string; readonly isWrong: boolean } | null>(null)
  const take = async () => {
    setIsBusy(true)
    const answer = await send(setUpCalls.takeBackup, {})
    setIsBusy(false)
    setSaid(
      answer.ok
        ? { sentence: 'A backup is taken, and was looked through.', isWrong: false }
        : { sentence: answer.sentence, isWrong: true },
    )
    router.refresh()
  }
  const restore = async (name: string) => {
    setIsBusy(true)
    const answer = await send(setUpCalls.restoreBackup, { name })
    setIsBusy(false)
    setChosen(null)
    setSaid(
      answer.ok
        ? {
            sentence: 'The house is as it was then. To undo that, restore the backup “before a restore”.',
            isWrong: false,
          }
        : { sentence: answer.sentence, isWrong: true },
    )
    router.refresh()
  }
  return (
    <section className="sheet max-w-4xl p-5" aria-labelledby="backups">
      <h1 id="backups" className="text-2xl font-semibold">
        Backups
      </h1>
      <p className="mt-1">
        Taken every day while the program runs, and before an update. Kept: the last of seven days, four weeks
        and twelve months.
      </p>
      <p className="mt-1 text-sm break-words text-soft">
        They lie in {folder}
        {also
          ? `, and each is copied to ${also}.`
          : '. A disk that fails takes both along: name a folder on another in TAUT_BACKUPS_ALSO, and each is copied there.'}
      </p>
      <button type="button" className="button button-main mt-3" disabled={isBusy} onClick={() => void take()}>
        Take one now
      </button>
      {said && (
        <p
          role={said.isWrong ? 'alert' : 'status'}
          className={`mt-2 font-semibold ${said.isWrong ? 'text-ochre' : ''}`}
        >
          {said.sentence}
        </p>
      )}
      {backups.length === 0 ? (
        <p className="mt-4">There is none yet.</p>
      ) : (
        <ul className="ruled mt-4" aria-label="Backups, the latest first">
          {backups.map(({ name, kind, at, bytes, loses }) => (
            <li key={name} className="py-2">
              <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
                <span className="min-w-48 flex-1">
                  <strong>{momentText(at, timeZone)}</strong>
                  <span className="block text-sm text-soft">
                    {kind}, {(bytes / 1e6).toFixed(1)} MB
                  </span>
                </span>
                <button
                  type="button"
                  className="button"
                  aria-expanded={chosen === name}
                  disabled={isBusy}
                  onClick={() => setChosen(chosen === name ? null : name)}
                >
                  Restore
                </button>
              </div>
              {chosen === name && (
                <div className="mt-2 border-2 border-ochre bg-ochre-wash p-3">
                  <p className="font-semibold">
                    {loses.actions === 0
                      ? 'Nothing was done since: nothing is lost.'
                      : loses.actions === 1
                        ? 'One thing was done since, and is lost by this:'
                        : `${loses.actions} things were done since, and are lost by this. The last of them:`}
                  </p>
                  <ul className="mt-1 text-sm">
                    {loses.last.map(({ at: when, summary }, i) => (
                      <li key={i}>
                        {momentText(when, timeZone)}: {summary}
                      </li>
                    ))}
                  </ul>
                  <p className="mt-1 text-sm">The house as it is now is kept in a backup first.</p>
                  <button
                    type="button"
                    className="button button-main mt-2"
                    disabled={isBusy}
                    onClick={() => void restore(name)}
                  >
                    Restore this one
                  </button>
                </div>
              )}
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}
