import { buyingFor } from '@/data/views/restring-materials'
import { forPieces, type Path } from '../for-pieces'

/** What the order plan of some strings is made from. */
export function GET(request: Request, path: Path) {
  return forPieces(request, path, buyingFor)
}
