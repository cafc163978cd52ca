/** @jest-environment jsdom */
import { screen } from '@testing-library/react';
import type { ReactNode } from 'react';
import { demoJob, inches, mm, type Entry, type Job } from '@sill/core';
import { startJob } from '../../../../core/src/testing/planning';
import { onBench as onAnyBench, planOnce } from '../../testing/bench';
import { ClockFace } from './ClockFace';
import { ABOUT_THE_JOB } from './NoteDialog';
import { Notes } from './Notes';
import { SizeFields } from './SizeFields';
import { StageHead } from './StageHead';

/** Nothing of a plan is shown: any will do. */
const plan = planOnce(startJob('top'));
const onBench = (what: ReactNode, job = demoJob()) => onAnyBench(what, { job, plan });

const at = '2026-11-24T10:00';
const withLedger = (...entries: readonly Entry[]): Job => ({ ...demoJob(), ledger: entries });
const clock = (on: boolean, minutes: number): Entry => ({
  id: 'c',
  at,
  what: 'clock',
  on,
  since: Date.now() - 60_000 * minutes,
});

test('the clock says how long this takes by now and what is usual; a tap stops it, another sets it going', async () => {
  const { user, jobNow } = onBench(<ClockFace planned={24.6} />, withLedger(clock(true, 17)));
  const face = document.querySelector('.clock-face')!;
  expect(face.textContent).toMatch(/^17 min · 25 min usual/);
  await user.click(screen.getByRole('button', { name: 'Pause' }));
  expect(face.getAttribute('data-on')).toBe('false');
  expect(face.textContent).toMatch(/^Clock stands/);
  await user.click(screen.getByRole('button', { name: 'Go on' }));
  expect(face.getAttribute('data-on')).toBe('true');
  expect(jobNow().ledger.filter(({ what }) => what === 'clock').length).toBeGreaterThan(1);
});

test('of what nobody planned nothing usual is said; a clock set ahead of this one has run for no time', () => {
  onBench(<ClockFace planned={null} />, withLedger(clock(true, -30)));
  expect(document.querySelector('.clock-face')!.textContent).toMatch(/^0 min(?! ·)/);
});

test('notes stand where they are about: by the part, by the step, by an action of it, and nowhere else', () => {
  const note = (id: string, of: string, part: string, photo: string | null = null): Entry => ({
    ...{ id, at, what: 'note', text: `word ${id}`, next: false, photo },
    ...{ piece: 'glaze', family: 'aprons', part, of, work: null, tool: null },
  });
  const job = withLedger(
    note('a', '', 'glaze.T1', 'pic'),
    note('b', 'step.1', ''),
    note('c', 'step.1.saw', ''),
    note('d', 'step.2', 'glaze.T2'),
    note('e', '', ''),
  );
  const about = { ...ABOUT_THE_JOB, piece: 'glaze', part: 'glaze.T1', of: 'step.1' };
  onBench(<Notes about={about} actions={['step.1.saw']} />, job);
  expect([...document.querySelectorAll('.notes-here p')].map(({ textContent }) => textContent)).toEqual([
    'word a',
    'word b',
    'word c',
  ]);
  expect(screen.getByRole('img', { name: 'word a' }).closest('a')!.getAttribute('target')).toBe('_blank');
});

test('sizes as the person’s tape has them; in millimetres a bare number is one', async () => {
  const piece = demoJob().pieces[0]!;
  const { user, jobNow } = onBench(<SizeFields piece={piece} />, { ...demoJob(), units: 'mm' });
  const type = async (name: string, value: string) => {
    const field = screen.getByRole('textbox', { name });
    await user.clear(field);
    await user.type(field, `${value}{Enter}`);
  };
  await type('long', '1500');
  expect(jobNow().pieces[0]!.size.length).toBe(mm(1500));
  await type('wide', '30 1/2"');
  expect(jobNow().pieces[0]!.size.width).toBe(inches(30.5));
});

test('a stage says what it is, and has its tools beside it', () => {
  onBench(
    <StageHead title="Cuts" about="what comes from which board">
      <button type="button">Tools</button>
    </StageHead>,
  );
  expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Cuts');
  expect(screen.getByText('what comes from which board')).toBeTruthy();
  expect(screen.getByRole('button', { name: 'Tools' })).toBeTruthy();
});
