import type { StageName } from '@sill/core';

/** The stages in the order people work; keys 1 to 7 go there. */
export const STAGES: readonly { readonly name: StageName; readonly label: string; readonly next: string }[] = [
  { name: 'brief', label: 'Brief', next: 'Settle the brief' },
  { name: 'shape', label: 'Shape', next: 'Settle the shape' },
  { name: 'parts', label: 'Parts', next: 'Settle the parts' },
  { name: 'stock', label: 'Stock', next: 'Settle the list' },
  { name: 'cuts', label: 'Cuts', next: 'Settle the cuts' },
  { name: 'joints', label: 'Joints', next: 'Settle the joints' },
  { name: 'build', label: 'Build', next: 'Print the packet' },
];

export const isStage = (name: string | undefined): name is StageName => STAGES.some((stage) => stage.name === name);

/** How a settled stage is kept among what is ticked off in the job. */
export const settledMark = (stage: StageName): string => `stage:${stage}`;
