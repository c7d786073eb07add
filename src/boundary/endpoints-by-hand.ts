/** What is asked on few pages only, kept apart so that no other page fetches it: orders that a person sends, ages that one remembers. */
import type { Endpoint } from './endpoint'
import type { AnsweredRequest, OtherGaugeRequest, SentRequest } from './requests/orders'
import type { PairStringsRequest } from './requests/shelf'
import type { AgesRequest } from './requests/wear'

export const callsByHand = {
  markSent: (id: number): Endpoint<SentRequest> => ({ path: `/api/orders/${id}/sent`, method: 'POST' }),
  keepAnswer: (id: number): Endpoint<AnsweredRequest> => ({
    path: `/api/orders/${id}/answered`,
    method: 'POST',
  }),
  takeOtherGauge: (id: number): Endpoint<OtherGaugeRequest> => ({
    path: `/api/needs/${id}/gauge`,
    method: 'POST',
  }),
  pairStrings: (slug: string): Endpoint<PairStringsRequest> => ({
    path: `/api/instruments/${slug}/strings/pair`,
    method: 'POST',
  }),
  sayOnSince: (slug: string): Endpoint<AgesRequest> => ({
    path: `/api/instruments/${slug}/ages`,
    method: 'POST',
  }),
}
