// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';

import type { Schemas } from '../api/client';
import { of, refusal, server } from '../test/server';
import { show } from '../test/screen';
import { KeptWorkings } from './KeptWorkings';

type Row = Schemas['KeptRow'];

const row = (changed: Partial<Row> = {}): Row =>
  ({
    working: {
      id: 'w-1',
      version: 4,
      revision: 'b-1',
      title: 'A 6 mm strip',
      sum: 'beamSection',
      own: null,
      inputs: [
        { name: 'width', text: '40', parameter: null, part: null, reading: null, requirement: null },
        { name: 'thickness', text: '5 mm', parameter: 'p-1', part: null, reading: null, requirement: null },
      ],
      output: 'stiffness',
      unit: '',
      run: null,
      channel: '',
      note: 'Without the skin.',
      answers: [
        { value: 1, unit: '1', u: null, text: '1.000', at: '2026-03-02T09:00:00Z' },
        { value: 1.7, unit: '1', u: 0.09, text: '1.728 ± 0.086', at: '2026-03-04T09:00:00Z' },
      ],
      createdBy: 'Ines Caldeira',
    },
    sum: 'Section of a strip',
    letter: 'B',
    answer: '1.728 ± 0.086',
    now: '',
    changed: [],
    problem: '',
    run: '',
    came: '',
    isInside: null,
    own: null,
    targets: [
      { kind: 'candidate', id: 'c-1', name: 'stiffness', words: 'Thicker strip: stiffness' },
      { kind: 'candidate', id: 'c-2', name: 'stiffness', words: 'Rib: stiffness' },
      { kind: 'method', id: 'm-1', name: 'ratio', words: 'Bend it: ratio' },
    ],
    ...changed,
  }) as unknown as Row;

const draw = (r: Row, more: { write?: boolean; candidate?: string; fresh?: string[] } = {}) => {
  const open = vi.fn();
  show(
    <KeptWorkings
      rows={[r]}
      write={more.write ?? true}
      candidate={more.candidate}
      fresh={more.fresh ?? []}
      open={open}
    />,
  );
  return open;
};

// The browser of these tests draws nothing, and so scrolls nowhere.
Element.prototype.scrollIntoView = () => undefined;

describe('what was worked out and kept', () => {
  it('says what it is for, what it came to before, and is opened by its name', async () => {
    const open = draw(row());
    screen.getByText('Section of a strip, B, Ines Caldeira');
    expect(screen.getByText(/^Before:/).textContent).toMatch(/1\.000 \(.*2 Mar.*\)\.$/);
    screen.getByText('Without the skin.');
    await userEvent.click(screen.getByRole('button', { name: 'A 6 mm strip' }));
    expect(open).toHaveBeenCalledOnce();
  });

  it('stands beside what it comes to now, and takes that only when told', async () => {
    const sent = server();
    draw(
      row({
        now: '3.38 ± 0.17',
        changed: [{ name: 'thickness', words: 'Thickness', now: '4 mm', was: '5 mm' }],
      }),
    );
    screen.getByText('Now it comes to 3.38 ± 0.17.');
    expect(sent).toHaveLength(0);
    await userEvent.click(screen.getByRole('button', { name: 'Keep the new answer beside the old' }));
    await waitFor(() => expect(of(sent, 'PUT', '/api/workings/w-1')).toHaveLength(1));
    const { body } = sent[0]!;
    expect(body['version']).toBe(4);
    expect((body['inputs'] as { name: string; text: string; parameter: string | null }[]).map((i) => i.text)).toEqual([
      '40',
      '4 mm',
    ]);
    expect(body['inputs']).toMatchObject([{}, { parameter: 'p-1' }]);
  });

  it('offers nothing new where its run was read', () => {
    draw(
      row({
        now: '3.38',
        changed: [{ name: 'thickness', words: 'Thickness', now: '4 mm', was: '5 mm' }],
        run: 'Bending, run 1',
        came: 'It read 1.600.',
      }),
    );
    screen.getByText('Forecast of Bending, run 1: It read 1.600.');
    screen.getByText('Its run was read: the forecast stays as it was said before.');
    expect(screen.queryByRole('button', { name: /Keep the new answer/ })).toBeNull();
  });

  it('says why it cannot be worked out now', () => {
    draw(
      row({
        changed: [{ name: 'thickness', words: 'Thickness', now: '0 mm', was: '5 mm' }],
        problem: 'More than 0 is wanted here.',
      }),
    );
    screen.getByText(/Thickness 0 mm, was 5 mm\. More than 0 is wanted here\./);
  });

  it('goes to the candidate that it was worked out for in one touch, and to others from the list', async () => {
    const sent = server();
    draw(row(), { candidate: 'c-1', fresh: ['w-1'] });
    await userEvent.click(screen.getByRole('button', { name: 'Put 1.728 ± 0.086 to Thicker strip: stiffness' }));
    await screen.findByText('Thicker strip: stiffness: it is there now.');
    await userEvent.selectOptions(screen.getByRole('combobox', { name: /^Put 1\.728/ }), 'Bend it: ratio');
    await screen.findByText('Bend it: ratio: it is there now.');
    expect(of(sent, 'POST', '/api/workings/w-1/hand-over').map((s) => s.body)).toEqual([
      { parameter: null, candidate: 'c-1', method: null, name: 'stiffness' },
      { parameter: null, candidate: null, method: 'm-1', name: 'ratio' },
    ]);
  });

  it('is brought into sight when it was just kept', () => {
    const shown = vi.fn();
    Element.prototype.scrollIntoView = shown;
    draw(row(), { fresh: [] });
    expect(shown).not.toHaveBeenCalled();
    draw(row(), { fresh: ['w-0', 'w-1'] });
    expect(shown).toHaveBeenCalledOnce();
  });

  it('is offered to the candidate only where it was kept meanwhile', () => {
    draw(row(), { candidate: 'c-1', fresh: [] });
    expect(screen.queryByRole('button', { name: /to Thicker strip/ })).toBeNull();
    const list = within(screen.getByRole('combobox', { name: /^Put 1\.728/ }));
    expect(list.getAllByRole('option').map((o) => o.textContent)).toEqual([
      'nothing else',
      'Thicker strip: stiffness',
      'Rib: stiffness',
      'Bend it: ratio',
    ]);
  });

  it('says why it was not taken', async () => {
    server({
      'POST /api/workings/w-1/hand-over': refusal(422, 'invalid', 'The fixture of this method has no such quantity.'),
    });
    draw(row());
    await userEvent.selectOptions(screen.getByRole('combobox', { name: /^Put 1\.728/ }), 'Bend it: ratio');
    await screen.findByText('The fixture of this method has no such quantity.');
    expect(screen.queryByText(/it is there now/)).toBeNull();
  });

  it('is only looked at by who may not write', () => {
    draw(row({ now: '3.4', changed: [{ name: 'thickness', words: 'Thickness', now: '4 mm', was: '5 mm' }] }), {
      write: false,
    });
    expect(screen.queryByLabelText(/^Put/)).toBeNull();
    expect(screen.queryByRole('button', { name: /Keep the new/ })).toBeNull();
  });
});
