import { cuttingBenchFor } from '@/data/stores/cutting'
import { forPieces, type Path } from '../for-pieces'

/** What some strings could be cut from. */
export function GET(request: Request, path: Path) {
  return forPieces(request, path, cuttingBenchFor)
}
