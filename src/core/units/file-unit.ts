/** What the bare numbers of a file's column may be counted in. */
export const FILE_UNITS = ['mm', 'cm', 'm', 'in', 'thou'] as const
export type FileUnit = (typeof FILE_UNITS)[number]
