// @vitest-environment jsdom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';

import type { Schemas } from '../../api/client';
import { of, OFF, refusal, server } from '../../test/server';
import { show } from '../../test/screen';
import { NotebookSlip } from './NotebookSlip';

const method = {
  factors: [],
  conditions: [{ name: 'soil', unit: '', states: ['dry', 'moist'] }],
  channels: [
    { key: 'push', metric: 'push force', unit: 'N', formula: '', whenStopped: 'equal' },
    { key: 'time', metric: 'time', unit: 's', formula: '', whenStopped: 'equal' },
  ],
} as unknown as Schemas['MethodView'];
const articles = [{ id: 'a1', serial: 'W-1' }] as Schemas['ArticleView'][];

let trials = 0;
function draw(replies: Parameters<typeof server>[0] = {}) {
  const sent = server({ 'GET /api/session': { body: { name: 'Ines Caldeira', workspaces: [] } }, ...replies });
  const trial = { id: `trial-${++trials}`, name: 'Slope' } as Schemas['TrialView'];
  const elsewhere = show(<NotebookSlip trial={trial} method={method} articles={articles} onClose={() => undefined} />);
  const again = () =>
    elsewhere(<NotebookSlip trial={trial} method={method} articles={articles} onClose={() => undefined} />);
  return { sent, again, away: () => elsewhere(<p>Elsewhere</p>) };
}
const cell = (name: string, line: number) => screen.getByLabelText<HTMLInputElement>(`${name}, line ${line}`);
const keepAll = (name: RegExp | string) => userEvent.click(screen.getByRole('button', { name }));
const said = () => within(screen.getByRole('dialog')).getByRole('status').textContent;

describe('runs out of a notebook', () => {
  it('goes on to the next line at Enter, with what stays the same, in the first number', async () => {
    draw();
    await userEvent.selectOptions(cell('Article', 1), 'W-1');
    await userEvent.selectOptions(cell('soil', 1), 'moist');
    await userEvent.type(cell('push force', 1), '41.2{Enter}');
    await waitFor(() => expect(document.activeElement).toBe(cell('push force', 2)));
    expect([cell('Article', 2).value, cell('soil', 2).value, cell('push force', 2).value]).toEqual([
      'W-1',
      'moist',
      '',
    ]);
    expect(screen.getByRole('button', { name: 'Keep one run' }), 'The second is only begun.').toBeTruthy();
  });

  it('keeps a run with what was read on it and how it ended, and says how many', async () => {
    const { sent } = draw();
    await userEvent.selectOptions(cell('soil', 1), 'dry');
    await userEvent.type(cell('push force', 1), '41.2{Enter}');
    await userEvent.type(await screen.findByLabelText('push force, line 2'), '44');
    await userEvent.selectOptions(cell('Ended', 2), 'failed');
    await userEvent.type(cell('Why, or a note', 2), 'Wheel dug in');
    await keepAll('Keep 2 runs');
    await waitFor(() => expect(said()).toBe('2 of 2 runs kept.'));
    const runs = of(sent, 'PUT', '/api/runs/');
    expect(runs).toHaveLength(4);
    expect(runs[1]!.body).toMatchObject({ outcome: 'held', conditions: [{ name: 'soil', text: 'dry' }], version: 1 });
    expect(runs[3]!.body).toMatchObject({
      outcome: 'failed',
      outcomeReason: 'Wheel dug in',
      operator: 'Ines Caldeira',
    });
    expect(of(sent, 'PUT', '/api/readings/').map((s) => s.body['text'])).toEqual(['41.2', '44']);
    expect(cell('push force', 1).disabled, 'What is kept is changed on its run.').toBe(true);
    expect(screen.getAllByLabelText('kept')).toHaveLength(2);
  });

  it('asks back at its line, and keeps it as typed when told so', async () => {
    const sentence = 'Ten times what the others read: is it 41.2?';
    const { sent } = draw({
      'PUT /api/readings/': [refusal(422, 'asks-back', 'x', { questions: [{ kind: 'slip', sentence }] }), {}],
    });
    await userEvent.type(cell('push force', 1), '412');
    await keepAll('Keep one run');
    expect((await screen.findByRole('alert')).textContent).toBe(sentence);
    expect(said()).toBe('0 of 1 run kept.');
    await userEvent.click(screen.getByRole('button', { name: 'It is as typed' }));
    await waitFor(() => expect(said()).toBe('1 of 1 run kept.'));
    const readings = of(sent, 'PUT', '/api/readings/');
    expect(readings.map((r) => r.body['confirmed'])).toEqual(['', sentence]);
    expect(readings[0]!.url, 'The same reading, not another one.').toBe(readings[1]!.url);
  });

  it('keeps what it can, and says at its line what was refused', async () => {
    const { sent } = draw({
      'PUT /api/readings/': [{}, refusal(422, 'invalid', '44 kg is no force.')],
    });
    await userEvent.type(cell('push force', 1), '41{Enter}');
    await userEvent.type(await screen.findByLabelText('push force, line 2'), '44 kg');
    await keepAll('Keep 2 runs');
    expect((await screen.findByRole('alert')).textContent).toBe('44 kg is no force.');
    await waitFor(() => expect(said()).toBe('1 of 2 runs kept.'));
    fireEvent.change(cell('push force', 2), { target: { value: '44' } });
    expect(screen.queryByRole('alert'), 'Mended, it is not complained of any more.').toBeNull();
    expect(screen.getByRole('button', { name: 'Keep one run' })).toBeTruthy();
    expect(of(sent, 'PUT', '/api/runs/')).toHaveLength(3);
  });

  it('lays a block out of a table in, and leaves a single word to the field', async () => {
    draw();
    const paste = (text: string) => fireEvent.paste(cell('push force', 1), { clipboardData: { getData: () => text } });
    paste('41.2\t3.1\tf\tslipped\n43\t2.9\n');
    await waitFor(() => expect(cell('push force', 2).value).toBe('43'));
    expect([cell('time', 1).value, cell('Ended', 1).value, cell('Why, or a note', 1).value]).toEqual([
      '3.1',
      'failed',
      'slipped',
    ]);
    expect(paste('44'), 'Left to the browser.').toBe(true);
  });

  it('waits on this device until it is kept, and is emptied only when told', async () => {
    const { away, again } = draw({ 'PUT /api/runs/': OFF });
    await userEvent.type(cell('push force', 1), '41.2');
    await keepAll('Keep one run');
    expect((await screen.findByRole('alert')).textContent).not.toBe('');
    away();
    again();
    await waitFor(() => expect(cell('push force', 1).value).toBe('41.2'));
    await userEvent.click(screen.getByRole('button', { name: 'Empty the page' }));
    expect(cell('push force', 1).value).toBe('');
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Keep 0 runs' }).disabled).toBe(true);
  });
});
