import { sure } from '@sill/core';
import { useThree } from '@react-three/fiber';
import { useEffect } from 'react';
import { WebGLRenderTarget, type Camera, type Scene, type WebGLRenderer } from 'three';

/** Draws where nobody sees it, and waits without holding up the page until that is done. */
async function drawnOnce(gl: WebGLRenderer, scene: Scene, camera: Camera): Promise<void> {
  const hidden = new WebGLRenderTarget(8, 8, { samples: 4 });
  gl.setRenderTarget(hidden);
  gl.render(scene, camera);
  gl.setRenderTarget(null);
  const context = gl.getContext() as WebGL2RenderingContext;
  const done = context.fenceSync(context.SYNC_GPU_COMMANDS_COMPLETE, 0);
  context.flush();
  const waits = () => context.getSyncParameter(sure(done, 'picture'), context.SYNC_STATUS) !== context.SIGNALED;
  while (done && !context.isContextLost() && waits()) await new Promise((turn) => setTimeout(turn, 10));
  context.deleteSync(done);
  hidden.dispose();
}

/**
 * Has the graphics make ready how everything is drawn before it is: without a card the first picture would wait for
 * that.
 */
export function Ready({ onReady }: { readonly onReady: () => void }) {
  const { gl, scene, camera, invalidate } = useThree();
  useEffect(() => {
    let here = true;
    const begin = () => {
      if (!here) return;
      onReady();
      invalidate();
    };
    // Where the graphics can not say when they are ready, only a picture drawn can.
    const ready = gl.extensions.has('KHR_parallel_shader_compile') ? gl.compileAsync(scene, camera) : Promise.resolve();
    void ready.then(() => drawnOnce(gl, scene, camera)).then(begin, begin);
    return () => {
      here = false;
    };
  }, [gl, scene, camera, invalidate, onReady]);
  return null;
}
