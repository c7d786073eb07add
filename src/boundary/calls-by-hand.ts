/** What is asked on few pages only, kept apart so that no other page fetches it: orders that a person sends, ages that one remembers. */
import type { Call } from './call'
import type { AnsweredRequest, OtherGaugeRequest, SentRequest } from './requests/orders'
import type { PairStringsRequest } from './requests/shelf'
import type { AgesRequest } from './requests/wear'

export const callsByHand = {
  markSent: (id: number): Call<SentRequest> => ({ path: `/api/orders/${id}/sent`, method: 'POST' }),
  keepAnswer: (id: number): Call<AnsweredRequest> => ({ path: `/api/orders/${id}/answered`, method: 'POST' }),
  takeOtherGauge: (id: number): Call<OtherGaugeRequest> => ({
    path: `/api/needs/${id}/gauge`,
    method: 'POST',
  }),
  pairStrings: (slug: string): Call<PairStringsRequest> => ({
    path: `/api/instruments/${slug}/strings/pair`,
    method: 'POST',
  }),
  sayOnSince: (slug: string): Call<AgesRequest> => ({
    path: `/api/instruments/${slug}/ages`,
    method: 'POST',
  }),
}
