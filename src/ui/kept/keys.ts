/** Names of what one page keeps for another. */

/** Minutes that somebody has for a job; nothing where there is no hurry. */
export const minutesFor = (jobId: number): string => `minutes for job ${jobId}`
