import { fork } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import type { Solver } from './solving';

/** Solves in a process of its own, which is ended when nobody waits for it any more. */
export const processSolver: Solver = (problem, ended) =>
  new Promise((done, refuse) => {
    const child = fork(fileURLToPath(new URL('./solve-process.ts', import.meta.url)), {
      execArgv: ['--import', 'tsx'],
    });
    const stop = () => child.kill('SIGKILL');
    ended.addEventListener('abort', stop);
    child.once('message', (solved) => done(solved as Awaited<ReturnType<Solver>>));
    child.once('error', refuse);
    child.once('exit', (code) => {
      ended.removeEventListener('abort', stop);
      // Refusing what was answered does nothing.
      refuse(new Error(`The search ended without an answer (${code ?? 'killed'}).`));
    });
    child.send(problem);
  });
