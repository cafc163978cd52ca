import { useEffect, useState } from 'react';
import type { Job, Plan } from '@sill/core';
import { movedWords } from '../../state/laying-days';
import { useApp, useEdges, useJob } from '../../state/hooks';
import { laidOutDays } from '../../state/planning';
import { mentioned } from '../../state/view';

/** Days stand so long before a nearer bound is looked for: the long search comes first. */
const STANDS_MS = 1500;

/**
 * Looks for a nearer bound of the days in view, and for days that are ready sooner, which takes a worker for seconds:
 * where they are looked at alone.
 *
 * @returns whether that is over.
 */
export function useProof(plan: Plan): boolean {
  const job = useJob();
  const dispatch = useApp();
  const { days, now } = useEdges();
  const { ready, sessions, proved } = plan.calendar;
  const key = `${ready} ${sessions.length} ${proved}`;
  const [over, setOver] = useState<{ readonly job: Job; readonly key: string }>();
  useEffect(() => {
    if (proved || ready === null) return;
    let isCurrent = true;
    const timer = setTimeout(() => {
      days.proveDays({ plan, job, time: now() }, plan.calendar).then(
        (calendar) => {
          if (!isCurrent) return;
          dispatch(laidOutDays({ job, calendar }));
          // On the way to a proof it may be found ready sooner.
          const text = movedWords(ready, calendar.ready);
          if (text !== null) dispatch(mentioned({ text }));
          setOver({ job, key });
        },
        // What is not proved is told as such.
        () => isCurrent && setOver({ job, key }),
      );
    }, STANDS_MS);
    return () => {
      isCurrent = false;
      clearTimeout(timer);
    };
    // What is proved follows from the job and its days; a nearer bound changes neither. Sooner ones are looked at anew.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [job, key]);
  return over?.job === job && over.key === key;
}
