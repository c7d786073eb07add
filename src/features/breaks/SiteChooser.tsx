'use client'

import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { RadioGroup } from 'radix-ui'
import { calls } from '@/boundary/calls'
import { pages } from '@/boundary/paths'
import type { StringPosition } from '@/core/instrument/instrument'
import { withThe } from '@/core/instrument/with-the'
import { suspectedAt, sitesFor, siteWord, type BreakSite } from '@/core/wear/break-sites'
import { useAnnounce } from '@/ui/shell/DoneBar'
import { send } from '@/ui/shell/send'
import { SitePicture } from './SitePicture'

interface SiteChooserProps {
  readonly slug: string
  readonly position: StringPosition
  /** `3rd-octave G` */
  readonly name: string
  readonly onCancel: () => void
}

/** Where it gave way: chosen beside a picture of the string from its pin to its fastening. */
export function SiteChooser({ slug, position, name, onCancel }: SiteChooserProps) {
  const sites = sitesFor(position)
  const [site, setSite] = useState<BreakSite | null>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const [sending, setSending] = useState(false)
  const router = useRouter()
  const announce = useAnnounce()

  const log = async () => {
    if (!site) return setProblem('Say where it gave way: choose one of the places.')
    setSending(true)
    const answer = await send(calls.logBreak, {
      instrument: slug,
      string: position.number,
      site,
    })
    setSending(false)
    if (!answer.ok) return setProblem(answer.sentence)
    announce(`Logged: ${withThe(name)} gave way.`, answer.value.actionId)
    router.push(pages.jobSheet(answer.value.jobId, 'coil'))
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
