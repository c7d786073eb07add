/**
 * What a page can ask the program to do: each call with its address, what it takes and what comes back. Made from the
 * request classes, of which only the types are used: no page carries their checks along.
 */
import type { ShelfReading } from '@/core/names/find-on-shelf'
import type { CuttingBench } from '@/core/stores/cutting-bench'
import type { OrderBench } from '@/core/stores/order-bench'
import type { Verdict } from '@/core/settle/readings'
import { ask, patch, post, type ActionResult, type Endpoint } from './endpoint'
import type { Nothing } from './handle'
import type { BreakRequest } from './requests/breaks'
import type { CuttingRequest } from './requests/cutting'
import type { HabitRequest } from './requests/habits'
import type { BeginRequest, WorkshopRequest } from './requests/workshop'
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
import type { PictureRequest } from './requests/pictures'
import type { RoomRequest } from './requests/room'
import type { RoundRequest, RoundStringRequest, TemperamentRequest } from './requests/rounds'
import type { ReadingRequest } from './requests/settling'
import type {
  AnchorsRequest,
  BookInRequest,
  CorrectRequest,
  MoveRequest,
  SupplyRequest,
  KeepRestRequest,
} from './requests/stores'
import type { TrimRequest } from './requests/tails'
import type { RestringRequest } from './requests/restring'
import type { LookRequest, PolishRequest, ReplaceRequest } from './requests/wear'
import type { StringRequest } from './string-request'

/** A job as it is opened. */
type Opened = ActionResult & { readonly jobId: number }
interface Visit {
  readonly visiting: boolean
}

export const endpoints = {
  find: (name: string, at: string | null) =>
    ask<{ readonly readings: readonly ShelfReading[] }>(
      `/api/find?${new URLSearchParams(at === null ? { name } : { name, at }).toString()}`,
    ),
  undo: (actionId: number) => post<Nothing>(`/api/actions/${actionId}/undo`),

  logBreak: post<BreakRequest, Opened>('/api/breaks'),
  openJob: post<StringRequest, Opened>('/api/jobs'),
  openReplacements: post<ReplaceRequest, Opened>('/api/jobs/replacements'),
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
    post<MeasureRequest, ActionResult & { readonly value: number | null }>(`/api/jobs/${jobId}/measures`),
  logMishap: (jobId: number) => post<MishapRequest>(`/api/jobs/${jobId}/mishaps`),
  finishJob: (jobId: number) => post<FinishRequest>(`/api/jobs/${jobId}/finish`),
  trimTail: (tailId: number) => post<TrimRequest>(`/api/tails/${tailId}/trim`),
  keepPractice: post<PracticeRequest>('/api/practice'),
  beginOldString: post<StringRequest, Opened>('/api/practice/old-string'),
  logReading: post<ReadingRequest, ActionResult & Pick<Verdict, 'kind' | 'expected'>>('/api/readings'),

  keepRoom: post<RoomRequest, ActionResult & { readonly kept: number }>('/api/room'),
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
  leaveShelf: { path: '/api/visit', method: 'DELETE' } as Endpoint<Nothing, Visit>,
  beginWorkshop: post<BeginRequest>('/api/house'),
  changeWorkshop: patch<WorkshopRequest>('/api/house'),

  keepPicture: post<PictureRequest>('/api/pictures'),
  throwPictureAway: (id: number) => post<Nothing>(`/api/pictures/${id}/drop`),

  addDates: post<OccasionsRequest>('/api/dates'),
  changeDate: (id: number) => post<OccasionRequest>(`/api/dates/${id}/change`),
  dropDate: (id: number) => post<Nothing>(`/api/dates/${id}/drop`),

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
  placeOrders: post<PlaceRequest, ActionResult & { readonly result: readonly number[] }>('/api/orders'),
  sendOrder: (id: number) => post<Nothing>(`/api/orders/${id}/send`),
  takeAnswer: (id: number) => post<Nothing>(`/api/orders/${id}/answer`),
  decide: (id: number) => post<DecideRequest>(`/api/orders/${id}/decide`),
  receive: (id: number) => post<ReceiveRequest>(`/api/orders/${id}/receive`),
  cancelOrder: (id: number) => post<Nothing>(`/api/orders/${id}/cancel`),
} as const
