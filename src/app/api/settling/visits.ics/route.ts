import { numberIn } from '@/app/asked'
import { fileAnswer } from '@/boundary/file-answer'
import { Refusal } from '@/boundary/refusal'
import { store } from '@/data/store/database'
import { visitsUntil } from '@/data/views/settling-view'
import { visitsCalendar } from '@/data/views/visits-calendar'

/** The visits until a date as iCalendar: `?date=1`. */
export function GET(request: Request) {
  const date = new URL(request.url).searchParams.get('date') ?? ''
  return fileAnswer('visits.ics', 'text/calendar', () => {
    const until = visitsUntil(store(), numberIn(date))
    if (!until) throw new Refusal(404, 'No date is ahead to plan visits for.')
    if (until.plan.visits.length === 0) throw new Refusal(404, 'No visit is needed until then.')
    return visitsCalendar(until)
  })
}
