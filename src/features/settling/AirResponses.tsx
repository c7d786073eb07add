import { plainWord } from '@/core/settle/pace'
import type { AirResponse, Sure } from '@/core/settle/room'
import type { Material } from '@/core/strings/materials'

export interface MaterialResponse extends AirResponse {
  readonly material: Material
}

/** What the air does to each material, and how sure that is. */
export function AirResponses({ responses }: { readonly responses: readonly MaterialResponse[] }) {
  return (
    <section className="sheet p-4" aria-labelledby="air">
      <h2 id="air" className="text-xl font-semibold">
        What the air does
      </h2>
      <p className="text-sm text-soft">
        In cents. Starting values, until settled strings that are read in rounds have told: tune all of an
        instrument now and then, and read the room.
      </p>
      <table className="mt-2 w-full text-left text-sm">
        <thead>
          <tr className="text-soft">
            <th className="font-normal">Material</th>
            <th className="text-right font-normal">a degree warmer</th>
            <th className="text-right font-normal">10 % damper</th>
          </tr>
        </thead>
        <tbody className="ruled">
          {responses.map(({ material, perKelvin, perPercent }) => (
            <tr key={material}>
              <td className="py-1.5">{plainWord(material)}</td>
              <td className="py-1.5 text-right whitespace-nowrap">{sureText(perKelvin, 1)}</td>
              <td className="py-1.5 text-right whitespace-nowrap">{sureText(perPercent, 10)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}

const sureText = ({ mean, off }: Sure, times: number) =>
  `${mean * times > 0 ? '+' : ''}${(mean * times).toFixed(times === 1 ? 1 : 0)} ± ${(off * times).toFixed(times === 1 ? 1 : 0)}`.replace(
    '-',
    '−',
  )
