/** @jest-environment jsdom */
import { screen, waitFor } from '@testing-library/react';
import { demoJob } from '@sill/core';
import { onBench, planOnce } from '../../testing/bench';
import { browserFiles } from '../../testing/files';
import { DaysStage } from './DaysStage';

const { saved, pick } = browserFiles();

const event = (uid: string, when: string) =>
  `BEGIN:VEVENT\r\nUID:${uid}\r\nDTSTAMP:20261101T000000Z\r\n${when}\r\nSUMMARY:Choir\r\nEND:VEVENT\r\n`;
const calendar = (...events: readonly string[]) =>
  `BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//test//EN\r\n${events.join('')}END:VCALENDAR\r\n`;
const EVENING = event('1', 'DTSTART:20261201T180000Z\r\nDTEND:20261201T210000Z');
const WHOLE = event('2', 'DTSTART;VALUE=DATE:20261205\r\nDTEND;VALUE=DATE:20261206');

async function opened(item: string) {
  const page = onBench(<DaysStage />, { path: '/jobs/demo/days' });
  await page.user.click(screen.getByRole('button', { name: 'Calendar file' }));
  await page.user.click(screen.getByRole('menuitem', { name: item }));
  const told = () => page.store.getState().view.message;
  return { ...page, told };
}

test('the days are written out, a session an event', async () => {
  const { told } = await opened('Save these days, with calls for coats and clamps');
  await waitFor(() => expect(told()).not.toBeNull());
  expect(told()).toMatchObject({ bad: false, text: expect.stringMatching(/days\.ics saved: \d+ sessions/) });
  const { sessions } = planOnce(demoJob()).calendar;
  expect(saved).toHaveLength(1);
  expect(saved[0]!.type).toBe('text/calendar');
  expect(saved[0]!.size).toBeGreaterThan(100 * sessions.length);
});

test('busy times are read, of this device’s zone; events of a whole day only where that is asked', async () => {
  pick({ name: 'choir.ics', text: calendar(EVENING, WHOLE) });
  const { told, jobNow } = await opened('Read when I am busy');
  await waitFor(() => expect(told()).not.toBeNull());
  expect(told()!.text).toBe('1 busy time of the coming year kept free. 1 event of a whole day left out.');
  expect(jobNow().calendar).toMatchObject({
    zone: 'UTC',
    busy: [{ from: '2026-12-01T18:00', to: '2026-12-01T21:00' }],
  });
});

test('with events of a whole day that day is busy too', async () => {
  pick({ name: 'choir.ics', text: calendar(EVENING, WHOLE) });
  const { told, jobNow } = await opened('The same, with events of a whole day');
  await waitFor(() => expect(told()).not.toBeNull());
  expect(told()!.text).toBe('2 busy times of the coming year kept free.');
  expect(jobNow().calendar.busy).toHaveLength(2);
});

test.each([
  ['no file', null, 'No file was chosen.', false],
  ['a file of another kind', { name: 'a.ics', text: 'BEGIN:VCARD\nEND:VCARD\n' }, /not a calendar file/, true],
  ['one cut short', { name: 'b.ics', text: calendar(EVENING).slice(0, -40) }, /cut short/, true],
] as const)('%s changes nothing and is told', async (_what, file, words, bad) => {
  pick(file);
  const { told, jobNow } = await opened('Read when I am busy');
  await waitFor(() => expect(told()).not.toBeNull());
  expect(told()).toMatchObject({ bad, text: expect.stringMatching(words) });
  expect(jobNow()).toEqual(demoJob());
});
