import QRCode from 'qrcode'

/** A code that a phone's camera opens as an address; dark squares in a row as one stroke, so that it prints sharp at any size. */
export function QrDrawing({ address, className }: { readonly address: string; readonly className?: string }) {
  const { size, rows } = codeOf(address)
  return (
    <svg
      viewBox={`-2 -2 ${size + 4} ${size + 4}`}
      className={className}
      role="img"
      aria-label={`Code for ${address}`}
      shapeRendering="crispEdges"
    >
      <rect x={-2} y={-2} width={size + 4} height={size + 4} fill="#fff" />
      <path d={rows} stroke="#000" />
    </svg>
  )
}

interface Code {
  /** Squares a side. */
  readonly size: number
  /** Its dark squares as one path. */
  readonly rows: string
}

const made = new Map<string, Code>()
/** Codes that are remembered: a few sheets of labels. */
const MAX_CODES = 600

/** A label's address never changes, and its code takes longer than all else on the label. */
function codeOf(address: string): Code {
  const known = made.get(address)
  if (known) return known
  const { size, data } = QRCode.create(address, { errorCorrectionLevel: 'M' }).modules
  const rows = Array.from({ length: size }, (_, y) => runs(data.subarray(y * size, (y + 1) * size), y)).join(
    '',
  )
  if (made.size >= MAX_CODES) made.clear()
  made.set(address, { size, rows })
  return { size, rows }
}

/** The dark squares of a row as strokes of their middle line. */
function runs(row: Uint8Array, y: number): string {
  let path = ''
  for (let x = 0; x < row.length; x += 1) {
    if (!row[x]) continue
    let end = x
    while (row[end]) end += 1
    path += `M${x} ${y + 0.5}h${end - x}`
    x = end
  }
  return path
}
