/**
 * The last part of an address out of a name that people gave.
 *
 * @returns letters from a to z, digits and hyphens; empty where the name has none of them
 * @example addressOf('Weir & Wharf') // 'weir-wharf'
 */
export function addressOf(name: string): string {
  return name
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
}
