import type { Metadata } from 'next'
import { freeShelf } from '@/data/stores/cutting'
import { store } from '@/data/store/database'
import { houseSettings } from '@/data/house/house'
import { orderLinesFor } from '@/data/buying/order-lines'
import { offersAt } from '@/data/stores/spares'
import { CoilChoice } from '@/features/jobs/CoilChoice'
import { JobSheet } from '../JobSheet'
import { loadOpenJob } from '../load-job'

export const metadata: Metadata = { title: 'Coil' }

export default async function CoilPage({ params }: { params: Promise<{ id: string }> }) {
  const job = await loadOpenJob(params)
  return (
    <JobSheet job={job} stage="coil">
      <CoilChoice
        jobId={job.jobId}
        chosenId={job.coil?.id ?? null}
        onNeedList={job.onNeedList}
        canPutBack={job.canPutBack}
        askedMake={job.position.askedMake}
        offers={offersAt(
          freeShelf(store(), job.jobId),
          job.instrument,
          job.position,
          job.habits,
          job.corrections,
        )}
        orderLines={orderLinesFor(job.instrument, job.position, job.habits, houseSettings(store()).unit)}
      />
    </JobSheet>
  )
}
