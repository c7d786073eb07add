/** Deliberate violations of the rooms and of the core's purity: lint must catch each one. */
import { spawnSync } from 'node:child_process'
import { rmSync, writeFileSync } from 'node:fs'
import path from 'node:path'

const CASES = {
  'src/core/zz-component.ts': "import { Figure } from '@/ui/figure/Figure'\nexport const wrong = Figure\n",
  'src/core/zz-data.ts': "import { store } from '../data/store/database'\nexport const wrong = store\n",
  'src/core/zz-package.ts': "import { useState } from 'react'\nexport const wrong = useState\n",
  'src/core/zz-clock.ts': 'export const wrong = Date.now() + Math.random() + window.innerWidth\n',
  'src/features/today/zz-feature.ts':
    "import { SiteChooser } from '@/features/breaks/SiteChooser'\nexport const wrong = SiteChooser\n",
  'src/ui/zz-feature.ts':
    "import { SiteChooser } from '@/features/breaks/SiteChooser'\nexport const wrong = SiteChooser\n",
  'src/features/today/zz-allowed.ts':
    "import { measure } from '@/core/measure'\nexport const right = measure('length', 1)\n",
} as const

const found = new Map<string, readonly string[]>()

beforeAll(() => {
  const files = Object.keys(CASES)
  try {
    for (const [file, text] of Object.entries(CASES)) writeFileSync(file, text)
    const { stdout } = spawnSync(
      process.execPath,
      ['node_modules/eslint/bin/eslint.js', '--format', 'json', ...files],
      { encoding: 'utf8' },
    )
    const results = JSON.parse(stdout.slice(stdout.indexOf('[{'))) as {
      filePath: string
      messages: { ruleId: string }[]
    }[]
    for (const { filePath, messages } of results)
      found.set(
        path.relative(process.cwd(), filePath),
        messages.map((m) => m.ruleId),
      )
  } finally {
    for (const file of files) rmSync(file, { force: true })
  }
}, 120_000)

test.each([
  ['a component cannot be imported into the core', 'src/core/zz-component.ts', 'boundaries/dependencies'],
  ['the core cannot import the data layer', 'src/core/zz-data.ts', 'boundaries/dependencies'],
  ['the core imports no package of the outside world', 'src/core/zz-package.ts', 'no-restricted-imports'],
  ['the core is given the time and random numbers', 'src/core/zz-clock.ts', 'no-restricted-properties'],
  ['the core knows no window', 'src/core/zz-clock.ts', 'no-restricted-globals'],
  ['a feature cannot import another feature', 'src/features/today/zz-feature.ts', 'boundaries/dependencies'],
  ['the shared pieces cannot reach into a feature', 'src/ui/zz-feature.ts', 'boundaries/dependencies'],
])('%s', (_, file, rule) => {
  expect(found.get(file)).toContain(rule)
})

test('what is allowed passes', () => {
  expect(found.get('src/features/today/zz-allowed.ts')).toEqual([])
})
