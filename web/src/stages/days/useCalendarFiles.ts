import { counted, nowOf, set, type Plan } from '@sill/core';
import { fileName, saveFile, textOfChosenFile } from '../../platform/files';
import { useChange, useEdges, useJob } from '../../state/hooks';
import { useErrand } from '../../state/useErrand';

/** Writes the days out as a calendar file, and reads busy times from one. The reader is fetched when it is wanted. */
export function useCalendarFiles({ calendar }: Plan) {
  const job = useJob();
  const change = useChange();
  const { busy, run } = useErrand();
  const { now, zoneHere } = useEdges();
  return {
    busy,
    save: () =>
      run(async () => {
        const { writeDays } = await import('@sill/core/formats/ics');
        const name = fileName(`${job.name}, days.ics`);
        saveFile(name, 'text/calendar', writeDays(calendar, job));
        return `${name} saved: ${counted(calendar.sessions.length, 'session')}, with calls for clamps and coats.`;
      }),
    load: (wholeDays: boolean) =>
      run(async () => {
        const text = await textOfChosenFile('.ics,text/calendar');
        if (text === null) return 'No file was chosen.';
        const { readBusy } = await import('@sill/core/formats/ics');
        // Times in a file are of a zone: a job that has none takes that of this device.
        const zone = job.calendar.zone ?? zoneHere();
        const found = readBusy(text, { zone, now: nowOf({ zone }, now()), wholeDays });
        if (!found.ok) throw new Error(found.message);
        const { busy: rows, allDay } = found.value;
        change([set(null, ['calendar', 'busy'], rows), set(null, ['calendar', 'zone'], zone)]);
        const left = allDay > 0 ? ` ${counted(allDay, 'event')} of a whole day left out.` : '';
        return `${counted(rows.length, 'busy time')} of the coming year kept free.${left}`;
      }),
  };
}
