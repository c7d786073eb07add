import type { Metadata } from 'next'
import { store } from '@/data/store/database'
import { workshopSettings } from '@/data/workshop/settings'
import { picturesOfJobs } from '@/data/pictures/pictures'
import { jobsTogether } from '@/data/jobs/jobs-together'
import { jobView } from '@/features/jobs/job-view'
import { StepByStep } from '@/features/jobs/StepByStep'
import { personAtBench } from '../../../person-at-bench'
import { JobSheet } from '../JobSheet'
import { loadStrungJob } from '../load-job'

export const metadata: Metadata = { title: 'Steps' }

export default async function StepsPage({ params }: { params: Promise<{ id: string }> }) {
  const job = await loadStrungJob(params)
  const together = jobsTogether(store(), job.jobId)
  return (
    <JobSheet job={job} stage="steps">
      <StepByStep
        key={together.map(({ jobId }) => jobId).join()}
        instrument={job.instrument}
        jobs={together.map(jobView)}
        me={await personAtBench()}
        holdsWithin={workshopSettings(store()).holdsWithinCents}
        pictures={picturesOfJobs(
          store(),
          together.map(({ jobId }) => jobId),
        ).map((picture) => ({ ...picture, of: null }))}
      />
    </JobSheet>
  )
}
