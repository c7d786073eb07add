/**
 * What a page can ask the program to do: each call with its address, what it takes and what comes back. Made from the
 * request classes, of which only the types are used: no page carries their checks along.
 */
import type { ShelfReading } from '@/core/names/find-on-shelf'
import type { CuttingBench } from '@/core/stores/cutting-bench'
import type { OrderBench } from '@/core/stores/order-bench'
import type { Verdict } from '@/core/settle/readings'
import type { Nothing } from './handle'
import type { AboutRequest } from './requests/about'
import type { ArchiveRequest } from './requests/archive'
import type { BreakRequest } from './requests/breaks'
import type { ChartRequest } from './requests/chart'
import type { CuttingRequest } from './requests/cutting'
import type { HabitRequest } from './requests/habits'
import type { HardwareRequest, LayersRequest } from './requests/hardware'
import type { BeginRequest, HouseRequest } from './requests/house'
import type {
  CoilRequest,
  CoveredRequest,
  FinishRequest,
  InHandRequest,
  MeasureRequest,
  MishapRequest,
  StepRequest,
  StringsRequest,
} from './requests/jobs'
import type { KnotMeasuredRequest } from './requests/knots'
import type { InstrumentMeasureRequest } from './requests/measuring'
import type { InstrumentFileRequest, NewInstrumentRequest } from './requests/new-instrument'
import type {
  DecideRequest,
  NeedsRequest,
  SuggestedRequest,
  PlaceRequest,
  ReceiveRequest,
  WantRequest,
} from './requests/orders'
import type { OccasionRequest, OccasionsRequest } from './requests/occasions'
import type { PracticeRequest } from './requests/practice'
import type { PhotoLengthsRequest } from './requests/photo'
import type { PictureRequest } from './requests/pictures'
import type { RoomRequest } from './requests/room'
import type { RoundRequest, RoundStringRequest, TemperamentRequest } from './requests/rounds'
import type { ReadingRequest } from './requests/settling'
import type { AddStringRequest, CopyRequest, RemoveStringRequest, RetireRequest } from './requests/shelf'
import type {
  AnchorsRequest,
  BookInRequest,
  CorrectRequest,
  MoveRequest,
  SupplyRequest,
  KeepRestRequest,
} from './requests/stores'
import type {
  CatalogueLineRequest,
  CatalogueRequest,
  NewSupplierRequest,
  TermsRequest,
} from './requests/suppliers'
import type { TrimRequest } from './requests/tails'
import type { RestoreRequest } from './requests/backups'
import type { RestringRequest } from './requests/restring'
import type { LookRequest, PolishRequest, ReplaceRequest } from './requests/wear'
import type { StringRequest } from './string-request'
import type { Taken } from './taken'

/** What came of an action: its number, by which it is undone. */
export interface Acted {
  readonly actionId: number
}

/**
 * One thing that can be asked.
 *
 * @typeParam Body - the request class
 * @typeParam Answer - what comes back when it is done
 */
export interface Call<Body extends object, Answer extends object = Acted> {
  readonly path: string
  readonly method: 'GET' | 'POST' | 'PATCH' | 'PUT' | 'DELETE'
  /** Only for the types; never set. */
  readonly types?: { readonly body: Body; readonly answer: Answer }
}

/**
 * A request as a page sends it: every field of the class and no other. Words come as they were chosen or typed, and what
 * is no number as null; whether they are right is said by the class, where they arrive.
 */
export type Sent<Body> = { readonly [Key in keyof Body]: SentField<Body[Key]> }

type SentField<Value> = Value extends readonly (infer One)[]
  ? readonly SentField<One>[]
  : Value extends object
    ? Sent<Value>
    : Value extends string
      ? string
      : Value extends number
        ? number | null
        : Value

const ask = <Answer extends object>(path: string): Call<Nothing, Answer> => ({ path, method: 'GET' })
const post = <Body extends object, Answer extends object = Acted>(path: string): Call<Body, Answer> => ({
  path,
  method: 'POST',
})
const patch = <Body extends object, Answer extends object = Acted>(path: string): Call<Body, Answer> => ({
  path,
  method: 'PATCH',
})
const put = <Body extends object>(path: string): Call<Body> => ({ path, method: 'PUT' })

/** A job as it is opened. */
type Opened = Acted & { readonly jobId: number }
/** An instrument as it comes to stand on the shelf. */
export type Shelved = Acted & { readonly slug: string; readonly name: string }

interface Visit {
  readonly visiting: boolean
}

export const calls = {
  find: (name: string, at: string | null) =>
    ask<{ readonly readings: readonly ShelfReading[] }>(
      `/api/find?${new URLSearchParams(at === null ? { name } : { name, at }).toString()}`,
    ),
  undo: (actionId: number) => post<Nothing>(`/api/actions/${actionId}/undo`),

  logBreak: post<BreakRequest, Opened>('/api/breaks'),
  openJob: post<StringRequest, Opened>('/api/jobs'),
  openReplacements: post<ReplaceRequest, Opened>('/api/jobs/replacements'),
  takeBackup: post<Nothing, { readonly name: string }>('/api/backups'),
  restoreBackup: post<RestoreRequest, { readonly restored: string }>('/api/backups/restore'),
  beginRestring: (slug: string) => post<RestringRequest, Opened>(`/api/instruments/${slug}/restring`),
  /** Of strings by their numbers: `1,2,3`. */
  restringCutting: (slug: string, pieces: string) =>
    ask<CuttingBench>(`/api/instruments/${slug}/restring/cutting?pieces=${pieces}`),
  restringBuying: (slug: string, pieces: string) =>
    ask<OrderBench>(`/api/instruments/${slug}/restring/buying?pieces=${pieces}`),
  nextGo: (slug: string) => post<Nothing, Opened>(`/api/instruments/${slug}/restring/next`),
  endRestring: (slug: string) => post<Nothing>(`/api/instruments/${slug}/restring/end`),
  chooseCoil: (jobId: number) => post<CoilRequest>(`/api/jobs/${jobId}/coil`),
  takeInHand: (jobId: number) => post<InHandRequest>(`/api/jobs/${jobId}/in-hand`),
  putBack: (jobId: number) => post<Nothing>(`/api/jobs/${jobId}/put-back`),
  needForJob: (jobId: number) => post<Nothing>(`/api/jobs/${jobId}/need`),
  addStrings: (jobId: number) => post<StringsRequest>(`/api/jobs/${jobId}/strings`),
  leaveJob: (jobId: number) => post<Nothing>(`/api/jobs/${jobId}/leave`),
  chooseCovered: (jobId: number) => post<CoveredRequest>(`/api/jobs/${jobId}/covered`),
  markStep: (jobId: number) => post<StepRequest>(`/api/jobs/${jobId}/steps`),
  keepMeasure: (jobId: number) =>
    post<MeasureRequest, Acted & { readonly value: number | null }>(`/api/jobs/${jobId}/measures`),
  logMishap: (jobId: number) => post<MishapRequest>(`/api/jobs/${jobId}/mishaps`),
  finishJob: (jobId: number) => post<FinishRequest>(`/api/jobs/${jobId}/finish`),
  trimTail: (tailId: number) => post<TrimRequest>(`/api/tails/${tailId}/trim`),
  keepPractice: post<PracticeRequest>('/api/practice'),
  beginOldString: post<StringRequest, Opened>('/api/practice/old-string'),
  logReading: post<ReadingRequest, Acted & Pick<Verdict, 'kind' | 'expected'>>('/api/readings'),

  keepRoom: post<RoomRequest, Acted & { readonly kept: number }>('/api/room'),
  beginRound: post<RoundRequest>('/api/rounds'),
  logRoundString: (id: number) => post<RoundStringRequest>(`/api/rounds/${id}/strings`),
  endRound: (id: number) => post<Nothing>(`/api/rounds/${id}/end`),
  takeTemperament: post<TemperamentRequest>('/api/temperaments'),
  dropTemperament: (id: number) => post<Nothing>(`/api/temperaments/${id}/drop`),

  logLook: (slug: string) => post<LookRequest>(`/api/instruments/${slug}/looks`),
  logPolish: (slug: string) => post<PolishRequest>(`/api/instruments/${slug}/polishes`),

  setHabit: post<HabitRequest>('/api/habits'),
  measureKnot: post<KnotMeasuredRequest>('/api/knots'),
  visitShelf: post<Nothing, Visit>('/api/visit'),
  leaveShelf: { path: '/api/visit', method: 'DELETE' } as Call<Nothing, Visit>,
  beginHouse: post<BeginRequest>('/api/house'),
  changeHouse: patch<HouseRequest>('/api/house'),

  keepPicture: post<PictureRequest>('/api/pictures'),
  throwPictureAway: (id: number) => post<Nothing>(`/api/pictures/${id}/drop`),

  lookAtArchive: post<ArchiveRequest, Taken>('/api/archive/look'),
  takeArchive: post<ArchiveRequest, Acted & Taken>('/api/archive'),

  addDates: post<OccasionsRequest>('/api/dates'),
  changeDate: (id: number) => post<OccasionRequest>(`/api/dates/${id}/change`),
  dropDate: (id: number) => post<Nothing>(`/api/dates/${id}/drop`),

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

  bookIn: post<BookInRequest>('/api/coils'),
  correctCoil: (id: number) => post<CorrectRequest>(`/api/coils/${id}/correct`),
  keepRest: (id: number) => post<KeepRestRequest>(`/api/coils/${id}/keep`),
  discardCoil: (id: number) => post<Nothing>(`/api/coils/${id}/discard`),
  bookAnchors: post<AnchorsRequest>('/api/anchors'),
  /** Hundreds of ways to cut on a large house: asked for when a plan is made. */
  cuttingBench: ask<CuttingBench>('/api/cutting'),
  takeCuttingPlan: post<CuttingRequest>('/api/cutting'),
  addSupply: post<SupplyRequest>('/api/supplies'),
  moveSupply: (id: number) => post<MoveRequest>(`/api/supplies/${id}/move`),
  wantSupply: (id: number) => post<WantRequest>(`/api/supplies/${id}/want`),

  addNeeds: post<NeedsRequest>('/api/needs'),
  addSuggestedNeeds: post<SuggestedRequest>('/api/needs/suggested'),
  dropNeed: (id: number) => post<Nothing>(`/api/needs/${id}/drop`),
  placeOrders: post<PlaceRequest, Acted & { readonly result: readonly number[] }>('/api/orders'),
  sendOrder: (id: number) => post<Nothing>(`/api/orders/${id}/send`),
  takeAnswer: (id: number) => post<Nothing>(`/api/orders/${id}/answer`),
  decide: (id: number) => post<DecideRequest>(`/api/orders/${id}/decide`),
  receive: (id: number) => post<ReceiveRequest>(`/api/orders/${id}/receive`),
  cancelOrder: (id: number) => post<Nothing>(`/api/orders/${id}/cancel`),
  addSupplier: post<NewSupplierRequest, Acted & { readonly slug: string }>('/api/suppliers'),
  retireSupplier: (slug: string) => post<RetireRequest>(`/api/suppliers/${slug}/retire`),
  addCatalogueLine: (slug: string) => post<CatalogueLineRequest>(`/api/suppliers/${slug}/items`),
  changeTerms: (slug: string) => post<TermsRequest>(`/api/suppliers/${slug}/terms`),
  replaceCatalogue: (slug: string) => put<CatalogueRequest>(`/api/suppliers/${slug}/catalogue`),
} as const
