import type { ReactNode } from 'react'
import type { Job } from '@/data/jobs/job'
import { offeredBefore } from '@/data/practice/offered'
import { store } from '@/data/store/database'
import { JobHeader, type Stage } from '@/features/jobs/JobHeader'
import { OfferedBefore } from '@/features/practice/OfferedBefore'
import { NamesAs } from '@/ui/units'
import { personAtBench } from '../../person-at-bench'

/** Stages before the hands are busy. */
const BEFORE_IT: readonly Stage[] = ['coil', 'figures']

interface JobSheetProps {
  readonly job: Job
  readonly stage: Stage
  readonly children: ReactNode
}

/** The sheet that every stage of a job is written on. */
export async function JobSheet({ job, stage, children }: JobSheetProps) {
  const isBefore = BEFORE_IT.includes(stage) && job.doneSteps.length === 0 && job.finishedAt === null
  const offered = isBefore ? offeredBefore(store(), (await personAtBench()) ?? '', job) : null
  return (
    <NamesAs scheme={job.habits.octaveNames}>
      <div className="sheet p-4 md:p-6">
        <JobHeader
          jobId={job.jobId}
          instrumentName={job.instrument.name}
          slug={job.instrument.slug}
          position={job.position}
          strings={job.figures.strings.length}
          stage={stage}
          hasString={job.coil !== null || job.sameString}
          finished={job.finishedAt !== null}
          notes={job.notes}
        />
        {offered && <OfferedBefore offered={offered} now={store().now()} />}
        {children}
      </div>
    </NamesAs>
  )
}
