import { logCsv, logJson, type Plan } from '@sill/core';
import { saveFile } from '../../platform/files';
import { useJob } from '../../state/hooks';
import { useHoldings } from '../../state/useLedger';
import { entryWords, stepSentences } from '../../words/entries';
import { useLabel } from '../../words/labels';

/** The log in open formats: a row an entry for a spreadsheet, or all of it as JSON. */
export function useLogFiles(plan: Plan) {
  const job = useJob();
  const label = useLabel();
  const holdings = useHoldings();
  return {
    saveCsv: () => {
      const telling = { holdings, units: job.units, label, steps: stepSentences(plan, job.units) };
      saveFile(
        `${job.name} log.csv`,
        'text/csv',
        logCsv(job, (entry) => entryWords(entry, telling)),
      );
    },
    saveJson: () => saveFile(`${job.name} log.json`, 'application/json', logJson(job)),
  };
}
