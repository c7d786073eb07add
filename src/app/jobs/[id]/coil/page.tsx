import type { Metadata } from 'next'
import { freeFor } from '@/data/stores/set-aside'
import { store } from '@/data/store/database'
import { workshopSettings } from '@/data/workshop/settings'
import { orderDetailsFor } from '@/data/buying/order-details'
import { drawnOffers, offersAt } from '@/data/stores/spares'
import { CoilChoice } from '@/features/jobs/CoilChoice'
import { JobSheet } from '../JobSheet'
import { loadOpenJob } from '../load-job'

export const metadata: Metadata = { title: 'Coil' }

export default async function CoilPage({ params }: { params: Promise<{ id: string }> }) {
  const job = await loadOpenJob(params)
  const { instrument, position, habits, corrections } = job
  const settings = workshopSettings(store())
  return (
    <JobSheet job={job} stage="coil">
      <CoilChoice
        jobId={job.jobId}
        chosenId={job.coil?.id ?? null}
        onNeedList={job.onNeedList}
        canPutBack={job.canPutBack}
        askedMake={position.askedMake}
        keepsStores={settings.keepsStores}
        offers={
          settings.keepsStores
            ? drawnOffers(
                store(),
                offersAt(freeFor(store(), job.jobId), instrument, position, habits, corrections),
              )
            : []
        }
        orderDetails={orderDetailsFor(instrument, position, habits, settings)}
      />
    </JobSheet>
  )
}
