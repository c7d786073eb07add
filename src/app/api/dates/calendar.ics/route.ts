import { fileAnswer } from '@/boundary/file-answer'
import { calendarOf } from '@/data/workshop/calendar'
import { workshopSettings } from '@/data/workshop/settings'
import { allOccasions } from '@/data/workshop/occasions'
import { store } from '@/data/store/database'

/** The dates as iCalendar, for a calendar on this machine to subscribe to. */
export function GET() {
  return fileAnswer('dates.ics', 'text/calendar', () =>
    calendarOf(allOccasions(store()), workshopSettings(store())),
  )
}
