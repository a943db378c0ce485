// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';

import type { Schemas } from '../../api/client';
import { runSheet } from '../../test/sheets';
import { endOf, InStep, leftOf, StepBar, useSteps } from './RunSteps';

afterEach(cleanup);

type Sheet = Schemas['RunSheet'];

const CHANNEL = runSheet().asked.channels[0]!;

/** Three channels are read unless less is said, and a fourth is worked out. */
function sheetOf({
  missing = [] as string[],
  read = 0,
  run = {},
  undecided = false,
  of = ['one', 'two', 'three'],
}): Sheet {
  const sheet = runSheet({ outcome: null, ...run });
  const channels = of.map((key) => ({ ...CHANNEL, key, formula: '' }));
  const reading = (channel: string) => ({ channel, undecided }) as Sheet['readings'][number];
  return {
    ...sheet,
    missing,
    rig: { ...sheet.rig, lines: [] },
    asked: { ...sheet.asked, channels: [...channels, { ...CHANNEL, key: 'sum', formula: 'one + two' }] },
    readings: channels.slice(0, read).map((c) => reading(c.key)),
  };
}

function Steps({ sheet, isTold = false }: { sheet: Sheet; isTold?: boolean }) {
  const [at, go] = useSteps(sheet, isTold);
  return <StepBar sheet={sheet} at={at} go={go} />;
}

const pressed = () => screen.getByRole('button', { pressed: true }).textContent;

it('begins with what is open, and goes on by itself when that is there', () => {
  const { rerender } = render(<Steps sheet={sheetOf({ missing: ['soil', 'wind'] })} />);
  expect(pressed()).toBe('As found2 open');
  rerender(<Steps sheet={sheetOf({ missing: ['wind'] })} />);
  expect(pressed()).toBe('As found1 open');
  rerender(<Steps sheet={sheetOf({})} />);
  expect(pressed()).toBe('Read0 of 3');
  rerender(<Steps sheet={sheetOf({ read: 1 })} />);
  expect(pressed()).toBe('Read1 of 3');
  rerender(<Steps sheet={sheetOf({ read: 3 })} />);
  expect(pressed()).toBe('End');
});

it('stays where somebody went, whatever comes in elsewhere', () => {
  const { rerender } = render(<Steps sheet={sheetOf({ missing: ['soil'] })} />);
  fireEvent.click(screen.getByRole('button', { name: /^Seen/ }));
  rerender(<Steps sheet={sheetOf({ read: 3 })} />);
  expect(pressed()).toBe('Seen');
  fireEvent.click(screen.getByRole('button', { name: /^Read/ }));
  rerender(<Steps sheet={sheetOf({ read: 3, missing: ['soil'] })} />);
  expect(pressed()).toBe('Read3 of 3');
});

it('is not through while the clock runs, or while a number waits for its unit', () => {
  expect(leftOf(sheetOf({ read: 3 })).read).toBe(false);
  expect(leftOf(sheetOf({ read: 3, run: { clockAt: '2026-03-02T10:00:00Z', lasted: null } })).read).toBe(true);
  expect(leftOf(sheetOf({ read: 3, run: { clockAt: '2026-03-02T10:00:00Z', lasted: 12 } })).read).toBe(false);
  expect(leftOf(sheetOf({ read: 3, undecided: true })).read).toBe(true);
});

it('says how it ended below what is read where that is little, and goes nowhere by itself then', () => {
  const { rerender } = render(<Steps sheet={sheetOf({ of: ['one'] })} />);
  expect(screen.getAllByRole('button').map((b) => b.textContent)).toEqual(['As found', 'Read and end0 of 1', 'Seen']);
  rerender(<Steps sheet={sheetOf({ of: ['one'], read: 1 })} />);
  expect(pressed()).toBe('Read and end1 of 1');
  expect(endOf(sheetOf({ of: ['one', 'two'] }))).toBe('read');
  expect(endOf(sheetOf({}))).toBe('end');
});

it('begins with a line that was typed to begin it, whatever else is open', () => {
  render(<Steps sheet={sheetOf({ missing: ['soil'] })} isTold />);
  expect(pressed()).toBe('Read0 of 3');
});

it('hides a part in other steps on a phone only, and nothing of a run that has ended', () => {
  const of = (at: 'read' | 'end' | null) =>
    render(
      <InStep of="read" at={at}>
        numbers
      </InStep>,
    ).container.firstElementChild!.className;
  expect([of('read'), of('end'), of(null)]).toEqual(['', 'max-lg:hidden', '']);
});
