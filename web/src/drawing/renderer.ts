import type { GLProps } from '@react-three/fiber';
import { WebGLRenderer } from 'three';

type Later = Extract<GLProps, (settings: never) => Promise<unknown>>;

/**
 * What draws in space, made in a turn of its own: without a graphics card the browser takes a fifth of a second for it,
 * and nothing else should wait with it.
 */
export const rendererLater: Later = async (settings) => {
  await new Promise((turn) => setTimeout(turn));
  return new WebGLRenderer(settings);
};
