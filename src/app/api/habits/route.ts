import { HabitRequest } from '@/boundary/requests/habits'
import { store } from '@/data/store/database'
import { setHabits, type HabitScope } from '@/data/workshop/habits'
import { handle } from '@/app/api/handle'
import { Refusal } from '@/boundary/refusal'

export function POST(request: Request) {
  return handle(request, HabitRequest, (asked) => {
    const { actionId } = setHabits(store(), scopeOf(asked), { [asked.key]: asked.value ?? undefined })
    return { actionId }
  })
}

function scopeOf({ of, slug, jobId }: HabitRequest): HabitScope {
  if (of === 'instrument' && slug !== undefined) return { of, slug }
  if (of === 'job' && jobId !== undefined) return { of, jobId }
  if (of === 'house') return { of }
  throw new Refusal(400, `Which ${of} is missing.`, of === 'job' ? 'jobId' : 'slug')
}
