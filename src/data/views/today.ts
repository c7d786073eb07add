/**
 * What needs a hand now.
 */
import { eq } from 'drizzle-orm'
import { leadingNames, numberName } from '@/core/instrument/names'
import { paceWords, plainWord } from '@/core/settle/pace'
import { supplierName } from '@/core/stores/order-way'
import { coreMaterial } from '@/core/strings/construction'
import { siteWord } from '@/core/wear/break-sites'
import type { Store } from '../store/database'
import { coilById } from '../stores/coils'
import { jobById, stepsDone } from '../jobs/job'
import { isOnNeedList } from '../jobs/job'
import { leftForLater, type LeftForLater } from '../jobs/left-for-later'
import { jobsOnStrings, type OpenJob } from '../jobs/open-jobs'
import { openOrders, type Order } from '../buying/orders'
import { unknownAgesByInstrument } from '../fitted/fitted'
import { openTails, type ParkedTail } from '../fitted/parked-tails'
import { allInstruments } from '../instruments/instruments'
import { workshopSettings } from '../workshop/settings'
import { isFor, occasionsAhead } from '../workshop/occasions'
import { toOpenHours } from '../workshop/open-hours'
import { breaks } from '../store/schema'
import { holdsBy, settlingStrings, type Settling } from '../fitted/settling'

export interface OpenJobLine {
  readonly jobId: number
  readonly name: string
  readonly instrumentName: string
  readonly openedAt: number
  readonly site: string | null
  /** What to do next, in a few words. */
  readonly next: string
}

export interface Ahead {
  readonly id: number
  readonly name: string
  readonly at: number
  /** Strings that will not hold by then, of those settling. */
  readonly notReady: Shown<string>
  /** Strings of its instruments of which nobody knows since when they are on. */
  readonly unknown: number
}

/** The first of a list, and how long it is. */
export interface Shown<One> {
  readonly shown: readonly One[]
  readonly all: number
}

/** A settling string as its line on Today tells it. */
export interface SettlingLine {
  readonly fittedId: number
  readonly positionId: number
  readonly slug: string
  readonly number: number
  readonly name: string
  /** `string 7` */
  readonly numberName: string
  readonly instrumentName: string
  /** How it settles, in a few words. */
  readonly settles: string
  readonly slipping: boolean
  /** Cents. */
  readonly expectedNow: number
  readonly nextAt: number | null
}

export interface TodayView {
  readonly jobs: Shown<OpenJobLine>
  /** Strings to retune now: slipping first, then by when they fell due. */
  readonly due: Shown<SettlingLine>
  /** Those that come next. */
  readonly later: Shown<SettlingLine>
  readonly ahead: readonly Ahead[]
  /** Orders that are not closed, the latest first. */
  readonly orders: Shown<Coming>
  /** Tails parked on necks, the one due first first. */
  readonly tails: Shown<ParkedTail>
  /** What was put off as strings were fitted. */
  readonly left: Shown<LeftLine>
}

export interface LeftLine {
  readonly jobId: number
  /** `3rd-octave G of Lovage` */
  readonly name: string
  /** `Trim, look inside` */
  readonly steps: string
}

export interface Coming {
  readonly id: number
  readonly supplier: string
  /** What to do next, in a few words. */
  readonly next: string
}

const NEXT = {
  'to send': 'to be sent',
  sent: 'waits for its answer',
  acknowledged: 'on its way; book it in when it comes',
  delivered: 'partly come',
  closed: '',
} as const

/** As many of each list as a person looks through; the rest is asked for. */
const SHOWN = { due: 20, later: 12, jobs: 12, tails: 10, left: 8, orders: 8, notReady: 12 } as const

/** The day's work; `whole` for every line of it. */
export function todayView(store: Store, whole = false): TodayView {
  const settling = settlingStrings(store)
  const now = store.now()
  const { holdsWithinCents, concertHours } = workshopSettings(store)
  const line = settlingLine(toOpenHours(store))
  const isDue = (s: Settling) => s.slipping || (s.nextAt !== null && s.nextAt <= now)
  const first = <From, To>(all: readonly From[], most: number, line: (one: From) => To): Shown<To> => ({
    shown: (whole ? all : all.slice(0, most)).map(line),
    all: all.length,
  })
  const itself = <T>(one: T) => one
  const due = settling.filter(isDue)
  const [shelf, unknown] = [allInstruments(store), unknownAgesByInstrument(store)]
  return {
    due: first([...due.filter((s) => s.slipping), ...due.filter((s) => !s.slipping)], SHOWN.due, line),
    later: first(
      settling.filter((s) => !isDue(s)),
      SHOWN.later,
      line,
    ),
    tails: first(openTails(store), SHOWN.tails, itself),
    left: first(leftForLater(store), SHOWN.left, leftLine),
    orders: first(openOrders(store), SHOWN.orders, coming),
    jobs: first(jobsOnStrings(store), SHOWN.jobs, (job) => jobLine(store, job)),
    ahead: occasionsAhead(store).map(({ id, name, at, hours, instruments }) => ({
      id,
      name,
      at,
      unknown: shelf
        .filter(({ instrument }) => isFor({ instruments }, instrument.slug))
        .reduce((sum, { id: of }) => sum + (unknown.get(of) ?? 0), 0),
      notReady: first(
        settling.filter(
          (s) => !holdsBy(s, at, holdsWithinCents, hours ?? concertHours) && isFor({ instruments }, s.slug),
        ),
        SHOWN.notReady,
        (s) => `${s.name} of ${s.instrumentName}`,
      ),
    })),
  }
}

const leftLine = ({ jobId, name, instrumentName, steps }: LeftForLater): LeftLine => ({
  jobId,
  name: `${name} of ${instrumentName}`,
  steps: steps
    .map(({ title }, i) => (i === 0 ? title : title.replace(/^./, (c) => c.toLowerCase())))
    .join(', '),
})

function coming({ id, supplier, state, lines }: Order): Coming {
  const isOffered = lines.some(({ replacesId, answer }) => replacesId !== null && answer === null)
  return { id, supplier: supplierName(supplier), next: isOffered ? 'a substitute is offered' : NEXT[state] }
}

/** @param toOpen - moves what falls due to when someone is there */
const settlingLine =
  (toOpen: (due: number) => number) =>
  (s: Settling): SettlingLine => ({
    fittedId: s.fitted.id,
    positionId: s.positionId,
    slug: s.slug,
    number: s.position.number,
    name: s.name,
    numberName: numberName(s.position),
    instrumentName: s.instrumentName,
    settles: settlesWord(s),
    slipping: s.slipping,
    expectedNow: s.expectedNow,
    nextAt: s.nextAt === null ? null : toOpen(s.nextAt),
  })

/** How it settles, against what strings of its kind usually do. */
function settlesWord({ known, lawIsOwn, fitted }: Settling): string {
  const { name } = coreMaterial(fitted.construction)
  if (!lawIsOwn && fitted.moved) return `settles as ${plainWord(name)} does that was on before`
  return `settles ${lawIsOwn ? paceWords(known.share.mean, name) : paceWords(1, name)}`
}

function jobLine(store: Store, job: OpenJob): OpenJobLine {
  const { row, position, instrument, habits } = job
  const broken =
    row.breakId === null
      ? undefined
      : store.rows.select({ site: breaks.site }).from(breaks).where(eq(breaks.id, row.breakId)).get()
  return {
    jobId: row.id,
    name: leadingNames(position, habits.octaveNames).name,
    instrumentName: instrument.name,
    openedAt: row.openedAt,
    site: broken ? siteWord(broken.site, position).toLowerCase() : null,
    next: nextOf(store, job),
  }
}

function nextOf(store: Store, { row }: OpenJob): string {
  if (row.coilId === null && !row.sameString)
    return isOnNeedList(store, row.id) ? 'on the need list' : 'choose a coil'
  if (stepsDone(store, row.id) > 0) {
    const { steps, doneSteps } = jobById(store, row.id)
    return `${steps.length - doneSteps.length} steps to go`
  }
  return row.coilId === null ? 'to be put back' : `${coilById(store, row.coilId).label} set aside`
}
