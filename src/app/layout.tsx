import '@fontsource-variable/besley'
import '@fontsource-variable/public-sans'
import '@fontsource-variable/source-serif-4'
import './globals.css'
import type { Metadata, Viewport } from 'next'
import { cookies } from 'next/headers'
import type { ReactNode } from 'react'
import { UserRound } from 'lucide'
import { isVisiting, store } from '@/data/store/database'
import { countOf } from '@/data/store/unreadable'
import { gaugeUnitOf, workshopSettings } from '@/data/workshop/settings'
import { unitsOf } from '@/ui/format/measure'
import { AtHandProvider } from '@/ui/find/at-hand'
import { AT_THE_BENCH } from '@/ui/shell/at-the-bench'
import { WaitingPlace } from '@/ui/offline/WaitingPlace'
import { BenchSwitch } from '@/ui/shell/BenchSwitch'
import { UndoToast } from '@/ui/shell/UndoToast'
import { DrawnIcon } from '@/ui/shell/DrawnIcon'
import { LeftOut } from '@/ui/shell/LeftOut'
import { KeyList } from '@/ui/shell/KeyList'
import { Navigation } from '@/ui/shell/Navigation'
import { VisitBar } from '@/ui/shell/VisitBar'
import { WorkshopProvider } from '@/ui/units'

export const metadata: Metadata = {
  title: { default: 'Taut Pinset', template: '%s · Taut Pinset' },
  description: 'Which string it is, what to cut, how to fit it, when it will hold.',
}
export const viewport: Viewport = { width: 'device-width', initialScale: 1 }
export const dynamic = 'force-dynamic'

export default async function RootLayout({ children }: { children: ReactNode }) {
  const kept = await cookies()
  const light = kept.get('light')?.value === 'backstage' ? 'backstage' : 'day'
  const bench = kept.get(AT_THE_BENCH)?.value
  const {
    name,
    keepsStores,
    unit,
    gaugesInThou,
    timeZone,
    referenceA,
    people,
    habits: { octaveNames, gutTop },
  } = workshopSettings(store())
  return (
    <html lang="en-GB" data-light={light}>
      <body>
        <WorkshopProvider
          workshop={{
            name,
            unit,
            gaugeUnit: gaugeUnitOf({ unit, gaugesInThou }),
            units: unitsOf({ unit, gaugesInThou }),
            timeZone,
            octaveNames,
            gutTop,
            keepsStores,
            referenceA,
          }}
        >
          <AtHandProvider>
            <a
              href="#main"
              className="button sr-only focus:not-sr-only focus:absolute focus:top-2 focus:left-2 focus:z-50"
            >
              Skip to the page
            </a>
            {isVisiting() && <VisitBar />}
            <LeftOut rows={countOf(store().unreadable)} />
            <Navigation
              light={light}
              keepsStores={keepsStores}
              bench={
                <BenchSwitch
                  people={people}
                  now={people.find((one) => one === bench) ?? null}
                  icon={<DrawnIcon node={UserRound} size={18} />}
                />
              }
            />
            <UndoToast>
              <WaitingPlace />
              <main
                id="main"
                tabIndex={-1}
                className="mx-auto max-w-[100rem] px-3 pt-4 pb-28 md:px-6 md:pb-10 print:p-0"
              >
                {children}
              </main>
              <KeyList />
            </UndoToast>
          </AtHandProvider>
        </WorkshopProvider>
      </body>
    </html>
  )
}
