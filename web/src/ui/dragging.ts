import { MouseSensor, TouchSensor, useSensor, useSensors } from '@dnd-kit/core';

/**
 * The page scrolls under what is held only right at its edges: the usual fifth of it on each side leaves little where
 * a place stands still until one lets go.
 */
export const SCROLLING = { threshold: { x: 0.08, y: 0.08 } };

/** What takes a thing up: a mouse that moves a little, a finger that rests on it first, else it scrolls. */
export const useDragSensors = () =>
  useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 8 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 300, tolerance: 8 } }),
  );
