'use client'

import { Camera } from 'lucide-react'
import { useState } from 'react'
import { endpoints } from '@/boundary/endpoints'
import type { PictureKind } from '@/core/pictures/picture-kind'
import { base64Of } from '../import/base64-of'
import { useAct } from '../shell/use-act'
import { loadPicture } from './load-picture'

interface TakePictureProps {
  readonly instrument: string
  /** Null for one of the whole instrument. */
  readonly string: number | null
  readonly job: number | null
  readonly kind: PictureKind
  readonly children: string
}

/** Longer side of a picture that is kept, pixels: a knot fills it. */
const LONGEST = 1600

/** Takes a picture with the telephone, or from a file, and keeps it with the instrument. */
export function TakePicture({ instrument, string, job, kind, children }: TakePictureProps) {
  const { act, refused, refuse } = useAct()
  const [busy, setBusy] = useState(false)
  const take = async (file: File | undefined) => {
    if (!file) return
    setBusy(true)
    try {
      const { url, jpeg } = await loadPicture(file, LONGEST)
      URL.revokeObjectURL(url)
      await act(
        endpoints.keepPicture,
        {
          instrument,
          kind,
          note: '',
          jpeg: await base64Of(jpeg),
          ...(string === null ? {} : { string }),
          ...(job === null ? {} : { job }),
        },
        'The picture is kept.',
      )
    } catch (error) {
      refuse({ sentence: (error as Error).message, field: null })
    }
    setBusy(false)
  }
  return (
    <div>
      <label
        className={`button focus-within:outline-2 focus-within:outline-offset-2 focus-within:outline-verdigris ${busy ? 'opacity-60' : ''}`}
      >
        <Camera size={18} aria-hidden /> {children}
        <input
          type="file"
          accept="image/*"
          capture="environment"
          className="sr-only"
          disabled={busy}
          onChange={(event) => {
            void take(event.target.files?.[0])
            event.target.value = ''
          }}
        />
      </label>
      {refused && (
        <p role="alert" className="mt-2 max-w-prose font-semibold text-ochre">
          {refused.sentence}
        </p>
      )}
    </div>
  )
}
