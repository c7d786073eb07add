import type { Metadata } from 'next'
import { HabitsSheet } from '@/features/habits/HabitsSheet'
import { JobSheet } from '../JobSheet'
import { loadOpenJob } from '../load-job'

export const metadata: Metadata = { title: 'Habits of this job' }

export default async function JobHabitsPage({ params }: { params: Promise<{ id: string }> }) {
  const job = await loadOpenJob(params)
  return (
    <JobSheet job={job} stage="figures">
      <h2 className="mt-4 text-xl font-semibold">Otherwise for this job</h2>
      <p className="mb-4 max-w-prose text-soft">
        What is chosen here holds for this one fitting; the rest is as {job.instrument.name} and the house do.
      </p>
      <HabitsSheet
        whose={{ of: 'job', jobId: job.jobId }}
        habits={job.habits}
        own={job.jobHabits}
        otherwise="the instrument"
      />
    </JobSheet>
  )
}
