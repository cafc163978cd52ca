/**
 * When it will be ready. In: tasks with their work and waiting. Out: days at the bench with dates.
 * Used by the sill and the packet. Takes today's date as an argument; the core has no clock.
 */
export * from './saturdays';
