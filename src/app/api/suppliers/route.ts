import { handle } from '@/app/api/handle'
import { NewSupplierRequest } from '@/boundary/requests/suppliers'
import { newSupplier } from '@/data/buying/suppliers'
import { store } from '@/data/store/database'
import { termsFrom } from './terms-from'

/** Adds a supplier. */
export function POST(request: Request) {
  return handle(request, NewSupplierRequest, ({ name, currency, ...terms }) =>
    newSupplier(store(), { name: name.trim(), currency, ...termsFrom(terms) }),
  )
}
