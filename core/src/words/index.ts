/** Sentences as data: words, lengths and tags. In: what a room has to say. Out: phrases the interface and print set. */
export * from './phrase';
