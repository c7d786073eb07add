/** Pages that are measured on the demo and on the large house. */
import { openJobs } from '@/data/jobs/open-jobs'
import { allInstruments } from '@/data/instruments/instruments'
import { openStore } from '@/data/store/database'
import { stepsDone } from '@/data/jobs/job'
import { DEMO_DATE } from './serve'

export interface PagesOfWorkshop {
  readonly byName: ReadonlyMap<string, string>
  readonly pages: readonly string[]
  readonly slugs: readonly string[]
}

/** The pages of a house, by what they show: the same things on every house. */
export function pagesOf(folder: string): PagesOfWorkshop {
  const store = openStore({ folder, demoDate: DEMO_DATE })
  const shelf = allInstruments(store)
  const harp = shelf.find(({ instrument }) => instrument.family === 'pedal harp')?.instrument.slug ?? ''
  const jobs = openJobs(store)
  const broken = jobs.find((job) => job.coilId === null && stepsDone(store, job.id) === 0) ?? jobs[0]
  store.close()
  const byName = new Map([
    ['Today', '/'],
    ['instruments', '/instruments'],
    ['a string broke', '/broke'],
    ['an instrument', `/instruments/${harp}?string=22`],
    ['its chart', `/instruments/${harp}/chart`],
    ['which string', `/instruments/${harp}/which`],
    ['winding bench', `/instruments/${harp}/bench?string=22`],
    ['a job’s coil', `/jobs/${broken?.id ?? 1}/coil`],
    ['stores', '/stores'],
    ['stores, looked through', '/stores?look=gut+1.'],
    ['cutting plan', '/stores/cutting'],
    ['small things', '/stores/small-things'],
    ['labels', '/stores/labels'],
    ['need list and orders', '/orders'],
    ['suppliers', '/orders/suppliers'],
    ['a catalogue', '/orders/suppliers/weir-and-wharf'],
    ['history', '/history'],
    ['house', '/house'],
    ['worked out and measured', '/house/fittings'],
    ['wear, the year ahead', '/wear'],
    ['an instrument as it wears', `/instruments/${harp}/wear`],
    ['before a date', `/wear/before?on=${harp}`],
    ['practice', '/practice'],
    ['a restring', `/instruments/${harp}/restring`],
    ['find box', '/api/find?name=G4'],
  ])
  return { byName, pages: [...byName.values()], slugs: shelf.map(({ instrument }) => instrument.slug) }
}
