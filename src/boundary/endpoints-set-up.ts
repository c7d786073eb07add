/** What is asked when a workshop is set up or carried elsewhere: instruments, suppliers, archives. Few pages fetch it. */
import { patch, post, put, type ActionResult } from './endpoint'
import type { Nothing } from './handle'
import type { AboutRequest } from './requests/about'
import type { ArchiveRequest } from './requests/archive'
import type { ChartRequest } from './requests/chart'
import type { HardwareRequest, LayersRequest } from './requests/hardware'
import type { InstrumentMeasureRequest } from './requests/measuring'
import type { InstrumentFileRequest, NewInstrumentRequest } from './requests/new-instrument'
import type { PhotoLengthsRequest } from './requests/photo'
import type { AddStringRequest, CopyRequest, RemoveStringRequest, RetireRequest } from './requests/shelf'
import type {
  CatalogueLineRequest,
  CatalogueRequest,
  NewSupplierRequest,
  TermsRequest,
} from './requests/suppliers'
import type { RestoreRequest } from './requests/backups'
import type { ImportSummary } from './import-summary'

/** An instrument as it comes to stand on the shelf. */
export type Shelved = ActionResult & { readonly slug: string; readonly name: string }

export const setUpCalls = {
  newInstrument: post<NewInstrumentRequest, Shelved>('/api/instruments'),
  instrumentFromFile: post<InstrumentFileRequest, Shelved>('/api/instruments/file'),
  measureInstrument: (slug: string) => post<InstrumentMeasureRequest>(`/api/instruments/${slug}/measures`),
  changeAbout: (slug: string) => post<AboutRequest>(`/api/instruments/${slug}/about`),
  measureByPicture: (slug: string) => post<PhotoLengthsRequest>(`/api/instruments/${slug}/photo`),
  changeHardware: (slug: string) =>
    patch<HardwareRequest, { readonly actionId: number | null; readonly changed: number }>(
      `/api/instruments/${slug}/hardware`,
    ),
  changeLayers: (slug: string) => put<LayersRequest>(`/api/instruments/${slug}/layers`),
  addString: (slug: string) => post<AddStringRequest>(`/api/instruments/${slug}/strings`),
  removeString: (slug: string) => post<RemoveStringRequest>(`/api/instruments/${slug}/strings/remove`),
  copyInstrument: (slug: string) => post<CopyRequest, Shelved>(`/api/instruments/${slug}/copy`),
  retireInstrument: (slug: string) => post<RetireRequest>(`/api/instruments/${slug}/retire`),
  changeChart: (slug: string) =>
    patch<ChartRequest, { readonly actionId: number | null; readonly changed: number }>(
      `/api/instruments/${slug}/chart`,
    ),
  addSupplier: post<NewSupplierRequest, ActionResult & { readonly slug: string }>('/api/suppliers'),
  retireSupplier: (slug: string) => post<RetireRequest>(`/api/suppliers/${slug}/retire`),
  addCatalogueLine: (slug: string) => post<CatalogueLineRequest>(`/api/suppliers/${slug}/items`),
  changeTerms: (slug: string) => post<TermsRequest>(`/api/suppliers/${slug}/terms`),
  replaceCatalogue: (slug: string) => put<CatalogueRequest>(`/api/suppliers/${slug}/catalogue`),
  lookAtArchive: post<ArchiveRequest, ImportSummary>('/api/archive/look'),
  takeArchive: post<ArchiveRequest, ActionResult & ImportSummary>('/api/archive'),
  takeBackup: post<Nothing, { readonly name: string }>('/api/backups'),
  restoreBackup: post<RestoreRequest, { readonly restored: string }>('/api/backups/restore'),
} as const
