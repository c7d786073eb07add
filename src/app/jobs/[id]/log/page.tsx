import type { Metadata } from 'next'
import { windsOnPin } from '@/core/fitting/head-way'
import { ruleOfTail } from '@/core/fitting/tail'
import { outerGauge } from '@/core/strings/construction'
import { stringOf } from '@/data/jobs/string-of'
import { LogForm } from '@/features/jobs/LogForm'
import { JobSheet } from '../JobSheet'
import { loadStrungJob } from '../load-job'

export const metadata: Metadata = { title: 'Log' }

export default async function LogPage({ params }: { params: Promise<{ id: string }> }) {
  const job = await loadStrungJob(params)
  return (
    <JobSheet job={job} stage="log">
      <h2 className="mt-4 text-xl font-semibold">Log the fitting</h2>
      <LogForm
        jobId={job.jobId}
        name={stringOf(job, job.position)}
        predictedCut={job.figures.cut.total}
        predictedWraps={windsOnPin(job.position) ? (job.figures.strings[0]?.wraps ?? job.habits.wraps) : null}
        measured={job.measured}
        gauge={outerGauge(job.figures.construction)}
        coil={job.coil && { label: job.coil.label, left: job.coil.lengthLeft }}
        parks={ruleOfTail(job.context) === 'parked'}
      />
    </JobSheet>
  )
}
