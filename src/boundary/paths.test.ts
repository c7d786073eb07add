import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Endpoint } from './endpoint'
import { endpoints } from './endpoints'
import { callsByHand } from './endpoints-by-hand'
import { setUpCalls } from './endpoints-set-up'
import { files, pages, withQuery } from './paths'

const APP = 'src/app'

/** The routes there are, `[id]` for each part that an address fills in. */
const routes = (file: string) =>
  readdirSync(APP, { recursive: true, encoding: 'utf8' })
    .filter((path) => path === file || path.endsWith(`/${file}`))
    .map((path) => `/${path.slice(0, -file.length).replace(/\/$/, '')}`)

/** Where an address leads, its parts told from the names of the folders. */
function routeOf(address: string, all: readonly string[]): string | undefined {
  const [path = ''] = address.split(/[?#]/)
  const matches = (route: string) =>
    new RegExp(`^${route.replace(/\[\w+\]/g, '[^/]+').replace(/\//g, '\\/')}$`).test(path)
  return all.find((route) => route === path) ?? all.find(matches)
}

/** Stands for any argument: a number, a name or a list of numbers. */
const ANYTHING = { toString: () => '7', join: () => '7' }

/** Every entry of a table, those that need arguments given some. */
const every = <T>(table: object) =>
  Object.values(table).map((one: T | ((...args: unknown[]) => T)) =>
    one instanceof Function ? one(ANYTHING, 'csv') : one,
  )

describe('addresses', () => {
  it('of pages lead to pages', () => {
    const all = routes('page.tsx')
    const sheets = (['coil', 'figures', 'steps', 'log', 'done', 'card', 'habits', 'report'] as const).map(
      (s) => pages.jobSheet(7, s),
    )
    const ofInstrument = (
      [
        'about',
        'measuring',
        'photo',
        'measuring-sheet',
        'hardware',
        'chart',
        'which',
        'belongs',
        'tune',
        'round',
        'wear',
        'inspection',
        'restring',
        'bench',
        'habits',
      ] as const
    ).map((s) => pages.instrumentSheet('lovage', s, 22))
    const others = { ...pages, jobSheet: pages.today, instrumentSheet: pages.today }
    const told = [...every<string>(others), ...sheets, ...ofInstrument]
    expect(told.filter((address) => !routeOf(address, all))).toEqual([])
    const reached = new Set(told.map((address) => routeOf(address, all)))
    expect(all.filter((route) => !reached.has(route))).toEqual([])
  })

  it('of calls and files lead to handlers that answer to the method, and every handler but the desk’s is told', () => {
    const all = routes('route.ts')
    const asked = [
      ...every<Endpoint<object, object>>({ ...endpoints, ...callsByHand, ...setUpCalls }).map(
        ({ path, method }) => [path, method] as const,
      ),
      ...every<string>(files).map((path) => [path, 'GET'] as const),
    ]
    const answers = ([path, method]: readonly [string, string]) => {
      const route = routeOf(path, all)
      if (!route) return false
      const file = join(APP, route, 'route.ts')
      return existsSync(file) && handlersIn(file).includes(method)
    }
    expect(asked.filter((one) => !answers(one))).toEqual([])
    const reached = new Set(asked.map(([path]) => routeOf(path, all)))
    const desk = (route: string) => route.startsWith('/api/desk/')
    expect(all.filter((route) => !reached.has(route) && !desk(route))).toEqual([])
  })

  it('leave out what is empty, and keep what would end an address', () => {
    expect(withQuery('/stores', { text: '', page: null, by: undefined })).toBe('/stores')
    expect(withQuery('/stores', { text: 'a&b=c#d', page: 2 })).toBe('/stores?text=a%26b%3Dc%23d&page=2')
  })
})

/** The methods that a handler answers to. */
function handlersIn(file: string): readonly string[] {
  const told = readFileSync(file, 'utf8').matchAll(/export (?:async function|function|const) ([A-Z]+)\b/g)
  return [...told].map(([, method]) => method ?? '')
}
