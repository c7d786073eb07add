'use client'

import { Sigma } from 'lucide-react'
import { Popover } from 'radix-ui'
import type { Working } from '@/core/working'
import { measureText } from '../format/measure'
import { useWorkshop } from '../units'

/** A button that opens the formula, the inputs and their source. */
export function ShowWorking({ working }: { working: Working }) {
  const { units } = useWorkshop()
  return (
    <Popover.Root>
      <Popover.Trigger
        className="inline-flex min-h-6 items-center gap-1 rounded-sm px-1 text-verdigris underline decoration-dotted underline-offset-2"
        aria-label={`Show the working: ${working.label}`}
      >
        <Sigma size={13} aria-hidden />
        working
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          collisionPadding={12}
          sideOffset={6}
          className="sheet z-50 w-[min(26rem,94vw)] p-5 text-sm shadow-xl"
          aria-label={`Working: ${working.label}`}
        >
          <h3 className="text-base font-semibold">{working.label}</h3>
          <p className="my-2 font-formula text-lg italic">{working.formula}</p>
          <table className="w-full">
            <caption className="sr-only">What went into it</caption>
            <tbody className="ruled">
              {working.inputs.map((line) => (
                <tr key={line.symbol + line.name}>
                  <th scope="row" className="w-8 py-1 text-left font-formula text-base font-normal italic">
                    {line.symbol}
                  </th>
                  <td className="py-1 pr-2">
                    {line.name}
                    <span className="block text-xs text-soft">
                      {line.source}
                      {line.firm ? '' : ', an estimate'}
                    </span>
                  </td>
                  <td className="py-1 text-right whitespace-nowrap">{measureText(line.measure, units)}</td>
                </tr>
              ))}
            </tbody>
            <tfoot>
              <tr className="border-t border-ink">
                <th scope="row" colSpan={2} className="py-1 text-left font-semibold">
                  {working.label}
                </th>
                <td className="py-1 text-right font-semibold whitespace-nowrap">
                  {measureText(working.result, units)}
                </td>
              </tr>
            </tfoot>
          </table>
          {working.caveat && <p className="mt-2 text-soft">{working.caveat}</p>}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}
