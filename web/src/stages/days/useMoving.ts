import { set, type BenchCalendar, type Change } from '@sill/core';
import { useChange, useJob } from '../../state/hooks';
import type { Block } from '../../words/days';

/** Ids are short and plain; what work is called by may be neither. */
const pinId = (of: string, pins: readonly { readonly id: string; readonly of: string }[], more: number): string => {
  const known = pins.find((pin) => pin.of === of);
  if (known) return known.id;
  let at = pins.length + 1 + more;
  while (pins.some(({ id }) => id === `pin-${at}`)) at++;
  return `pin-${at}`;
};

/** Moves work to another day, or back to where it is soonest: a wish that the rest is laid out around. */
export function useMoving(calendar: BenchCalendar) {
  const { pins } = useJob().calendar;
  const change = useChange();
  const ofBlock = ({ placed }: Block): readonly string[] => [...new Set(placed.map(({ task }) => task.of))];
  return {
    isMoved: (block: Block): boolean => ofBlock(block).some((of) => pins.some((pin) => pin.of === of)),
    move: (block: Block, on: string) => {
      const held = calendar.sessions.find(({ placed }) => placed.some((one) => block.placed.includes(one)));
      if (held?.date === on) return;
      const changes: readonly Change[] = ofBlock(block).map((of, at) => {
        const id = pinId(of, pins, at);
        return set(null, ['calendar', 'pins', id], { id, of, on });
      });
      change(changes);
    },
    letGo: (block: Block) => {
      const own = ofBlock(block);
      change(pins.filter(({ of }) => own.includes(of)).map(({ id }) => set(null, ['calendar', 'pins', id], undefined)));
    },
  };
}
