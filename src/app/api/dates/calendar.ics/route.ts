import { fileAnswer } from '@/boundary/file-answer'
import { calendarOf } from '@/data/house/calendar'
import { houseSettings } from '@/data/house/house'
import { allOccasions } from '@/data/house/occasions'
import { store } from '@/data/store/database'

/** The dates as iCalendar, for a calendar on this machine to subscribe to. */
export function GET() {
  return fileAnswer('dates.ics', 'text/calendar', () =>
    calendarOf(allOccasions(store()), houseSettings(store())),
  )
}
