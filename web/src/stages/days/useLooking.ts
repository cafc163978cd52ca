import { useEffect, useRef, useState } from 'react';
import type { BenchCalendar, Job, Plan } from '@sill/core';
import { movedWords } from '../../state/laying-days';
import { useApp, useEdges, useJob } from '../../state/hooks';
import { laidOutDays } from '../../state/planning';
import { mentioned } from '../../state/view';

type Looked = 'not yet' | 'looking' | 'found none' | 'failed';
type So = {
  readonly job: Job;
  readonly ready: string | null;
  readonly looked: Looked;
  readonly found: BenchCalendar | null;
};

/**
 * Days that are ready sooner with the hours there are, looked for when asked: that takes a worker a minute. What was
 * found can be taken before; a change of the job, or another page, ends it with what it found.
 */
export function useLooking(plan: Plan) {
  const job = useJob();
  const dispatch = useApp();
  const { days, now } = useEdges();
  const { ready } = plan.calendar;
  const [so, setSo] = useState<So>();
  // Each time it looks elsewhere; what was begun before another, or before a change, is not heard.
  const times = useRef(0);
  const looking = useRef<{ found: BenchCalendar | null }>(null);
  useEffect(
    () => () => {
      times.current++;
      if (!looking.current) return;
      days.stopDays();
      const { found } = looking.current;
      looking.current = null;
      if (found) dispatch(laidOutDays({ job, calendar: found }));
    },
    [days, dispatch, job, ready],
  );
  const put = (looked: Looked, found: BenchCalendar | null = null) => {
    looking.current = looked === 'looking' ? { found } : null;
    setSo({ job, ready, looked, found });
  };
  const take = (calendar: BenchCalendar, otherwise: Looked) => {
    const text = movedWords(ready, calendar.ready);
    put(text === null ? otherwise : 'not yet');
    if (text === null) return;
    dispatch(laidOutDays({ job, calendar }));
    dispatch(mentioned({ text }));
  };
  const look = () => {
    const own = ++times.current;
    const isCurrent = () => own === times.current;
    put('looking');
    days
      .lookOn({ plan, job, time: now() }, plan.calendar, own, (found) => isCurrent() && put('looking', found))
      .then(
        (calendar) => isCurrent() && take(calendar, 'found none'),
        () => isCurrent() && put('failed'),
      );
  };
  const [looked, found] = so?.job === job && so.ready === ready ? [so.looked, so.found] : ['not yet', null];
  const stop = () => {
    times.current++;
    days.stopDays();
    take(found ?? plan.calendar, 'not yet');
  };
  return { looked, found, look, stop };
}
