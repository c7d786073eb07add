import type { StepKey } from '@/core/fitting/step'
import { Pictures, type ShownPicture } from '@/ui/picture/Pictures'
import { TakePicture } from '@/ui/picture/TakePicture'

export interface JobPicture extends ShownPicture {
  readonly jobId: number | null
}

interface OfStep {
  readonly slug: string
  readonly number: number
  readonly jobId: number
  readonly step: StepKey
  readonly pictures: readonly JobPicture[]
}

/** Steps that are done as the old string and its neighbours show it. */
const AS_BEFORE: ReadonlySet<StepKey> = new Set(['tie-knot', 'hook-loop', 'thread-pin', 'wind', 'wrap-foot'])

/** Above the words of the step that takes the old string off: pictures of what will be done again. */
export function BeforeItComesOff({ slug, number, jobId, step, pictures }: OfStep) {
  if (step !== 'take-off') return null
  return (
    <div className="mb-5 grid gap-2">
      <p>Before anything comes off, take a picture of what you will do again.</p>
      <div className="flex flex-wrap gap-2">
        <TakePicture instrument={slug} string={number} job={jobId} kind="old knot">
          The old knot
        </TakePicture>
        <TakePicture instrument={slug} string={number} job={jobId} kind="winding beside it">
          The winding beside it
        </TakePicture>
      </div>
      <Pictures pictures={ownOf(jobId, pictures)} />
    </div>
  )
}

/** Below the words of a step that does it anew: how it was. */
export function AsItWas({ jobId, step, pictures }: Omit<OfStep, 'slug' | 'number'>) {
  const own = ownOf(jobId, pictures)
  if (!AS_BEFORE.has(step) || own.length === 0) return null
  return (
    <div className="mt-4">
      <p className="mb-2 font-semibold">As it was</p>
      <Pictures pictures={own} />
    </div>
  )
}

function ownOf(jobId: number, pictures: readonly JobPicture[]): readonly JobPicture[] {
  return pictures.filter((picture) => picture.jobId === jobId)
}
