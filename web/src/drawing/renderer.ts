import type { GLProps } from '@react-three/fiber';
import { WebGLRenderer } from 'three';

type Later = Extract<GLProps, (settings: never) => Promise<unknown>>;

/**
 * What draws in space, made in a turn of its own: it waits for what the graphics have in hand, and nothing else should
 * wait with it.
 */
export const rendererLater: Later = async (settings) => {
  await new Promise((turn) => setTimeout(turn));
  return new WebGLRenderer(settings);
};
