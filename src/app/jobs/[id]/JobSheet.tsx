import type { ReactNode } from 'react'
import type { Job } from '@/data/jobs/job'
import { JobHeader, type Stage } from '@/features/jobs/JobHeader'
import { NamesAs } from '@/ui/units'

/** The sheet that every stage of a job is written on. */
export function JobSheet({ job, stage, children }: { job: Job; stage: Stage; children: ReactNode }) {
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
        {children}
      </div>
    </NamesAs>
  )
}
