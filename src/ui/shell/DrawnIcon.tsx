import type { IconNode } from 'lucide'

interface DrawnIconProps {
  readonly node: IconNode
  /** Width and height, px. */
  readonly size: number
  readonly className?: string
}

/**
 * An icon of what stands on every page. The set's own component is drawn in the browser, and every page would fetch it for
 * these; this one is drawn on the server.
 */
export function DrawnIcon({ node, size, className = '' }: DrawnIconProps) {
  return (
    <svg
      viewBox="0 0 24 24"
      width={size}
      height={size}
      fill="none"
      stroke="currentColor"
      strokeWidth={2}
      strokeLinecap="round"
      strokeLinejoin="round"
      className={className}
      aria-hidden
    >
      {node.map(([Tag, drawn], i) => (
        <Tag key={i} {...drawn} />
      ))}
    </svg>
  )
}
