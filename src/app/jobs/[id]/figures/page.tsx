import type { Metadata } from 'next'
import { leadingNames } from '@/core/instrument/names'
import { store } from '@/data/store/database'
import { coveredChoice, jobsTogether } from '@/data/jobs/jobs-together'
import { surenessAt } from '@/core/measuring/worth'
import { SureNote } from '@/features/measuring/SureNote'
import { CoveredSheet } from '@/features/jobs/CoveredSheet'
import { FittingFiguresSheet } from '@/features/jobs/FittingFiguresSheet'
import { TogetherSheet } from '@/features/jobs/TogetherSheet'
import { JobSheet } from '../JobSheet'
import { loadStrungJob } from '../load-job'

export const metadata: Metadata = { title: 'Figures' }

export default async function FiguresPage({ params }: { params: Promise<{ id: string }> }) {
  const job = await loadStrungJob(params)
  const sure =
    job.chartMeasured && surenessAt(job.instrument, job.habits, job.chartMeasured, job.position.number)
  const covered = coveredChoice(store(), job)
  const strings = jobsTogether(store(), job.jobId).map((one) => ({
    jobId: one.jobId,
    number: one.position.number,
    called: one.position.called.number,
    name: leadingNames(one.position, one.habits.octaveNames).name,
    from: one.coil?.label ?? (one.sameString ? 'the same string' : null),
    broke: one.site !== null,
  }))
  return (
    <JobSheet job={job} stage="figures">
      {sure && <SureNote slug={job.instrument.slug} name={job.instrument.name} sure={sure} />}
      <FittingFiguresSheet
        jobId={job.jobId}
        instrument={job.instrument}
        figures={job.figures}
        habits={job.habits}
        begun={job.doneSteps.length > 0}
      />
      {covered && <CoveredSheet jobId={job.jobId} position={job.position} {...covered} />}
      <TogetherSheet jobId={job.jobId} instrument={job.instrument} strings={strings} />
    </JobSheet>
  )
}
