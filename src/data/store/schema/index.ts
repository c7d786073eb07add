/**
 * The tables. Lengths carry their unit in their names; times are milliseconds since 1970 in UTC. Every table that a
 * person's action writes to has an integer `id`, which the journal needs to undo it.
 */
export * from './workshop'
export * from './instruments'
export * from './orders'
export * from './stores'
export * from './fitted'
export * from './rounds'
export * from './wear'
export * from './jobs'
export * from './restrings'
export * from './needs'
export * from './pictures'
export * from './practice'
export * from './journal'
