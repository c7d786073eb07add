'use client'

import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { RadioGroup } from 'radix-ui'
import { endpoints } from '@/boundary/endpoints'
import { pages } from '@/boundary/paths'
import { MINUTES_LEFT } from '@/core/fitting/in-the-interval'
import { isWire } from '@/core/fitting/thin'
import type { StringPosition } from '@/core/instrument/instrument'
import { withThe } from '@/core/instrument/with-the'
import { suspectedAt, sitesFor, siteWord, type BreakSite } from '@/core/wear/break-sites'
import { Selection } from '@/ui/form/Selection'
import { minutesFor } from '@/ui/kept/keys'
import { keepForNext } from '@/ui/kept/use-stored-state'
import { useAnnounce } from '@/ui/shell/UndoToast'
import { send } from '@/ui/shell/send'
import { SitePicture } from './SitePicture'

interface SiteChooserProps {
  readonly slug: string
  readonly position: StringPosition
  /** `3rd-octave G` */
  readonly name: string
  readonly onCancel: () => void
}

const NO_HURRY = 0

/** Where it gave way: chosen beside a picture of the string from its pin to its fastening. */
export function SiteChooser({ slug, position, name, onCancel }: SiteChooserProps) {
  const sites = sitesFor(position)
  const [site, setSite] = useState<BreakSite | null>(null)
  const [minutes, setMinutes] = useState<number>(NO_HURRY)
  const [problem, setProblem] = useState<string | null>(null)
  const [sending, setSending] = useState(false)
  const router = useRouter()
  const announce = useAnnounce()

  const log = async () => {
    if (!site) return setProblem('Say where it gave way: choose one of the places.')
    setSending(true)
    const answer = await send(endpoints.logBreak, {
      instrument: slug,
      string: position.number,
      site,
    })
    if (!answer.ok) {
      setSending(false)
      return setProblem(answer.sentence)
    }
    if (minutes !== NO_HURRY) await hurry(answer.value.jobId)
    setSending(false)
    announce(`Logged: ${withThe(name)} gave way.`, answer.value.actionId)
    router.push(pages.jobSheet(answer.value.jobId, 'coil'))
  }

  /** The job is walked the shortest way, and its string stretched by what works in minutes. */
  const hurry = async (jobId: number) => {
    keepForNext(minutesFor(jobId), minutes)
    if (!isWire(position.construction))
      await send(endpoints.setHabit, {
        of: 'job',
        slug,
        jobId,
        key: 'stretching',
        value: 'big sideways motions',
      })
  }

  return (
    <section aria-label="Where it gave way" className="border-y-2 border-verdigris py-3">
      <h3 className="text-lg font-semibold">Where did it give way?</h3>
      <div className="mt-2 flex gap-2">
        <SitePicture sites={sites} position={position} chosen={site} className="w-16 shrink-0" />
        <RadioGroup.Root
          value={site ?? ''}
          onValueChange={(value) => {
            setSite(value as BreakSite)
            setProblem(null)
          }}
          className="flex flex-1 flex-col"
          aria-label="Where it gave way"
        >
          {sites.map((s) => (
            <RadioGroup.Item
              key={s}
              value={s}
              className="flex h-11 items-center gap-2 border-b border-rule px-2 text-left last:border-0 data-[state=checked]:bg-verdigris-wash data-[state=checked]:font-semibold"
            >
              <span className="grid size-5 shrink-0 place-items-center rounded-full border-2 border-line">
                <RadioGroup.Indicator className="size-2.5 rounded-full bg-verdigris" />
              </span>
              {siteWord(s, position)}
            </RadioGroup.Item>
          ))}
        </RadioGroup.Root>
      </div>
      {site && (
        <p className="mt-2 text-sm">
          <span className="text-soft">First suspect:</span> {suspectedAt(site, position).suspect}{' '}
          {suspectedAt(site, position).remedy}
        </p>
      )}
      <div className="mt-3">
        <Selection
          label="How long have you got?"
          value={minutes}
          options={[
            { value: NO_HURRY, word: 'no hurry' },
            ...MINUTES_LEFT.map((value) => ({ value, word: `${value} minutes: it is the interval` })),
          ]}
          choose={setMinutes}
        />
      </div>
      {problem && (
        <p role="alert" className="mt-2 text-sm font-semibold text-ochre">
          {problem}
        </p>
      )}
      <div className="mt-3 flex gap-2">
        <button type="button" className="button button-main flex-1" onClick={log} disabled={sending}>
          Log the break
        </button>
        <button type="button" className="button" onClick={onCancel}>
          Not broken
        </button>
      </div>
    </section>
  )
}
