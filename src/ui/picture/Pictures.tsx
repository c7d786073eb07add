'use client'

import { Trash2 } from 'lucide-react'
import { endpoints } from '@/boundary/endpoints'
import { files } from '@/boundary/paths'
import type { PictureKind } from '@/core/pictures/picture-kind'
import { dateText } from '../format/time'
import { useAct } from '../shell/use-act'
import { useWorkshop } from '../units'

/** A picture that is kept with the house. */
export interface ShownPicture {
  readonly id: number
  readonly kind: PictureKind
  readonly at: number
  /** Pixels. */
  readonly width: number
  readonly height: number
  readonly hash: string
  /** Which string it shows, in words; null for the whole instrument. */
  readonly of: string | null
}

/** Kept pictures side by side; each opens large, and can be thrown away. */
export function Pictures({ pictures }: { readonly pictures: readonly ShownPicture[] }) {
  const { timeZone } = useWorkshop()
  const { act, refused } = useAct()
  return (
    <>
      <ul className="flex flex-wrap gap-4">
        {pictures.map(({ id, kind, at, width, height, hash, of }) => {
          const called = of === null ? capital(kind) : `${capital(kind)}, ${of}`
          return (
            <li key={id} className="w-40">
              <a href={files.picture(hash)} target="_blank" rel="noreferrer" className="block">
                {/* Of the house’s own file: there is nothing for the image service of a server to make smaller. */}
                <img
                  src={files.picture(hash)}
                  alt={called}
                  width={width}
                  height={height}
                  loading="lazy"
                  className="aspect-square w-full border border-rule object-cover"
                />
              </a>
              <div className="flex items-start justify-between gap-1 text-sm">
                <p className="pt-1">
                  {called}
                  <span className="block text-soft">{dateText(at, timeZone)}</span>
                </p>
                <button
                  type="button"
                  className="button min-h-10 min-w-10 border-transparent px-2"
                  aria-label={`Throw away: ${called}`}
                  onClick={() => act(endpoints.throwPictureAway(id), {}, 'The picture is thrown away.')}
                >
                  <Trash2 size={16} aria-hidden />
                </button>
              </div>
            </li>
          )
        })}
      </ul>
      {refused && (
        <p role="alert" className="mt-2 font-semibold text-ochre">
          {refused.sentence}
        </p>
      )}
    </>
  )
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1)
}
