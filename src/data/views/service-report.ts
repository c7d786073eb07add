/**
 * What an owner is told of finished jobs.
 */
import type { Mishap } from '@/core/fitting/mishaps'
import { leadingNames } from '@/core/instrument/names'
import { materialWord, outerGauge } from '@/core/strings/construction'
import { gaugeText, type LengthUnit } from '@/core/units/length'
import { MINUTE } from '@/core/units/time'
import { siteFacts, siteWord, suspectedAt } from '@/core/wear/break-sites'
import { soldByClass } from '@/core/instrument/instrument'
import type { ChargedString, Charges } from '@/core/stores/charges'
import { specAt } from '@/core/stores/string-spec'
import { gaugeUnitOf, workshopSettings } from '../workshop/settings'
import type { Store } from '../store/database'
import { chargesFor } from './charges'
import type { JobOutcome } from './job-outcome'
import type { Job } from '../jobs/job'
import { metres } from '../store/millimetres'

/** One string of a finished job, in the words of a report. */
export function reportedString({ job, cutMm, wraps, settling }: JobOutcome, gaugeUnit: LengthUnit) {
  const { position, site, coil, figures, habits } = job
  return {
    number: position.number,
    called: position.called.number,
    ...leadingNames(position, habits.octaveNames),
    why:
      site === null
        ? 'was taken off while it was sound'
        : siteFacts(site).broke
          ? `broke ${siteWord(site, position).toLowerCase()}`
          : siteWord(site, position).toLowerCase().replace(/^the /, ''),
    suspect:
      site === null ? null : `First suspect there: ${suspectedAt(site, position).suspect.toLowerCase()}`,
    string: stringWords(job, gaugeUnit),
    make: coil ? `${coil.maker} ${coil.line}`.trim() : '',
    isSame: job.sameString,
    cut: cutMm === null ? null : metres(cutMm),
    wraps,
    anchor: figures.needsAnchor,
    finishedAt: job.finishedAt ?? 0,
    nextAt: settling[0]?.nextAt ?? null,
    isFollowed: settling.length > 0,
    slipping: settling.some(({ slipping }) => slipping),
    readyAt: settling[0]?.readyAt ?? null,
    mishaps: job.mishaps.map(({ mishap, lost }): { mishap: Mishap; lost: number | null } => ({
      mishap,
      lost,
    })),
  }
}

/** What the work costs its owner: the strings that were put on, and the time. */
export function serviceCharges(store: Store, done: readonly JobOutcome[]): Charges {
  const gaugeUnit = gaugeUnitOf(workshopSettings(store))
  return chargesFor(
    store,
    done.flatMap(({ job, cutMm }): ChargedString[] =>
      job.sameString
        ? []
        : [
            {
              what: stringWords(job, gaugeUnit),
              spec: specAt(job.position, soldByClass(job.instrument)),
              cut: cutMm === null ? job.figures.cut.total : metres(cutMm),
            },
          ],
    ),
    serviceMinutes(done.map(({ job }) => job)),
  )
}

/** `gut, 1.10 mm` */
const stringWords = ({ figures: { construction } }: Job, unit: LengthUnit) =>
  `${materialWord(construction)}, ${gaugeText(outerGauge(construction), unit)}`

/** Minutes from the first step marked to the last fitting logged; null where no step was marked. */
export function serviceMinutes(jobs: readonly Job[]): number | null {
  const from = jobs.flatMap((job) => job.workedFrom ?? [])
  const to = jobs.flatMap((job) => job.finishedAt ?? [])
  return from.length === 0 || to.length === 0 ? null : (Math.max(...to) - Math.min(...from)) / MINUTE
}
