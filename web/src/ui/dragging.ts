import { MouseSensor, TouchSensor, useSensor, useSensors } from '@dnd-kit/core';

/** What takes a thing up: a mouse that moves a little, a finger that rests on it first, else it scrolls. */
export const useDragSensors = () =>
  useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 8 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 300, tolerance: 8 } }),
  );
