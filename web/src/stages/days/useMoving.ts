import { set, type BenchCalendar, type Change } from '@sill/core';
import { useChange, useJob } from '../../state/hooks';
import { newId } from '../../state/newId';
import type { Block } from '../../words/days';

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
      const left = new Set(calendar.sessions.flatMap(({ placed }) => placed.map(({ task }) => task.of)));
      const changes: readonly Change[] = ofBlock(block).map((of) => {
        const id = pins.find((pin) => pin.of === of)?.id ?? newId();
        return set(null, ['calendar', 'pins', id], { id, of, on });
      });
      // Wishes for work that is done, or is no work any more, are forgotten by the way.
      const over = pins
        .filter(({ of }) => !left.has(of))
        .map(({ id }) => set(null, ['calendar', 'pins', id], undefined));
      change([...changes, ...over]);
    },
    letGo: (block: Block) => {
      const own = ofBlock(block);
      change(pins.filter(({ of }) => own.includes(of)).map(({ id }) => set(null, ['calendar', 'pins', id], undefined)));
    },
  };
}
