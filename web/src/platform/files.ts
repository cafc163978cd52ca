import type { Job } from '@sill/core';

/** A name as any system takes it for a file. */
export const fileName = (name: string): string => name.replace(/[\\/:*?"<>|]+/g, '-');

/** Hands the browser a file to save. */
export const saveFile = (name: string, type: string, content: string): void =>
  saveBlob(name, new Blob([content], { type }));
export const saveBytes = (name: string, type: string, content: Uint8Array): void =>
  saveBlob(name, new Blob([content as Uint8Array<ArrayBuffer>], { type }));

function saveBlob(name: string, content: Blob): void {
  const address = URL.createObjectURL(content);
  saveData(name, address);
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
}

/** The job as a file that the jobs page reads back. */
export const saveJob = (job: Job): void =>
  saveFile(`${job.name}.json`, 'application/json', JSON.stringify(job, null, 2));

/** A file the person picks; null where none was. */
export function chosenFile(accept: string): Promise<File | null> {
  return new Promise((done) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = accept;
    input.onchange = () => done(input.files?.[0] ?? null);
    input.oncancel = () => done(null);
    input.click();
  });
}

/** Text of a file the person picks; null where none was. */
export const textOfChosenFile = async (accept: string): Promise<string | null> =>
  (await chosenFile(accept))?.text() ?? null;

/** Hands the browser a data address to save. */
export function saveData(name: string, address: string): void {
  const link = document.createElement('a');
  link.href = address;
  link.download = fileName(name);
  link.click();
}
