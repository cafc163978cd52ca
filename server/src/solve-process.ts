import { choicesFor, type CutProblem, solveExactly } from '@sill/core';
import { loadIntegerSolver } from '@sill/core/highs';

/** Seconds a search may take: then the best so far, with its bound. */
const LONGEST = 60;

/** A process that solves the one cut problem it is sent, answers and ends. See `processSolver`. */
process.once('message', (problem: CutProblem) => {
  void loadIntegerSolver().then((integer) => {
    const start = performance.now();
    const options = { integer, stopped: () => performance.now() - start > LONGEST * 1000 };
    const { objective } = problem;
    const solved = objective === 'cost' ? solveExactly(problem, options) : choicesFor(problem, objective, options);
    process.send?.(solved, () => process.exit(0));
  });
});
