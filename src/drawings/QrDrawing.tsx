import QRCode from 'qrcode'

/** A code that a phone's camera opens as an address; dark squares as one path, so that it prints sharp at any size. */
export function QrDrawing({ address, className }: { readonly address: string; readonly className?: string }) {
  const { size, data } = QRCode.create(address, { errorCorrectionLevel: 'M' }).modules
  const squares = Array.from({ length: size * size }, (_, i) =>
    data[i] ? `M${i % size},${Math.floor(i / size)}h1v1h-1z` : '',
  ).join('')
  return (
    <svg
      viewBox={`-2 -2 ${size + 4} ${size + 4}`}
      className={className}
      role="img"
      aria-label={`Code for ${address}`}
      shapeRendering="crispEdges"
    >
      <rect x={-2} y={-2} width={size + 4} height={size + 4} fill="#fff" />
      <path d={squares} fill="#000" />
    </svg>
  )
}
