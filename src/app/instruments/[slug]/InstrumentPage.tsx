'use client'

import type { ComponentProps } from 'react'
import { SiteChooser } from '@/features/breaks/SiteChooser'
import { InstrumentDesk } from '@/features/instruments/InstrumentDesk'
import { useLeadingNames } from '@/ui/use-leading-names'

/** The desk, with the question where a string gave way put into its plate. */
export function InstrumentPage(desk: Omit<ComponentProps<typeof InstrumentDesk>, 'askSite'>) {
  const leadingNames = useLeadingNames()
  return (
    <InstrumentDesk
      {...desk}
      askSite={(position, onCancel) => (
        <SiteChooser
          key={position.number}
          slug={desk.view.instrument.slug}
          position={position}
          name={leadingNames(position).name}
          onCancel={onCancel}
        />
      )}
    />
  )
}
