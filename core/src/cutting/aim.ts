/** What a cutting is chosen for: its price, the stock area left over, the boards bought, or the settings of the saw. */
export const AIMS = ['cost', 'waste', 'boards', 'setups'] as const;
export type Aim = (typeof AIMS)[number];
