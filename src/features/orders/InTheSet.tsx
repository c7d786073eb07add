import type { HeldView } from '@/data/views/orders-view'

/** What is in the packs of a line: which piece goes where, and which are spare. Not for the supplier. */
export function InTheSet({ holds }: { readonly holds: readonly HeldView[] }) {
  return (
    <details className="mt-1 text-sm print:hidden">
      <summary className="min-h-8 cursor-pointer py-1 underline underline-offset-2">{summary(holds)}</summary>
      <table className="mt-1 w-full" aria-label="What goes where">
        <tbody>
          {holds.map(({ name, pieces, goes, spare, serves }) => (
            <tr key={name} className="border-b border-rule align-top">
              <th scope="row" className="py-1 pr-3 text-left font-normal whitespace-nowrap">
                {pieces} × {name}
              </th>
              <td className="py-1">
                {goes
                  .map(({ who, strings }) => (strings === 1 ? who : `${strings} for the ${who}`))
                  .join('; ')}
                {spare > 0 && (
                  <span className="block text-soft">
                    {spare === pieces ? (spare === 1 ? 'spare' : 'all spare') : `${spare} spare`}
                    {serves !== '' && `; right for ${serves}`}
                  </span>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  )
}

function summary(holds: readonly HeldView[]): string {
  const all = holds.reduce((sum, { pieces }) => sum + pieces, 0)
  const spare = holds.reduce((sum, one) => sum + one.spare, 0)
  return spare === 0
    ? `What goes where of its ${all} strings`
    : `What goes where of its ${all} strings; ${spare} spare`
}
