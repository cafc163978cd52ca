/** Stands for every style sheet in tests that draw nothing. */
export {};
