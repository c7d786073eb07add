import type { Metadata } from 'next'
import { instrumentBySlug } from '@/data/instruments/instruments'
import { store } from '@/data/store/database'
import { restringReport } from '@/data/views/restring-report'
import { RestringReportSheet } from '@/features/restring/RestringReportSheet'
import { orNotFound } from '../../../../or-not-found'

export const metadata: Metadata = { title: 'Report of the restring' }

export default async function ReportPage({ params }: { readonly params: Promise<{ slug: string }> }) {
  const { slug } = await params
  return (
    <RestringReportSheet
      report={orNotFound(() => restringReport(store(), instrumentBySlug(store(), slug)))}
    />
  )
}
