// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';

import type { Schemas } from '../api/client';
import { of, refusal, server } from '../test/server';
import { show } from '../test/screen';
import { ASKS, FIXTURE } from './methodFields';
import { MethodLines } from './MethodLines';

const sheet = {
  sections: [
    {
      field: 'questions',
      lines: [
        { text: 'latch opens: Opens', notes: ['Look closely.'] },
        { text: 'no crack', notes: [] },
      ],
    },
    { field: 'constants', lines: [] },
  ],
  metrics: [],
  method: {
    id: 'm-1',
    version: 4,
    edition: 2,
    device: 'd-1',
    name: 'Drop',
    channels: [{ key: 'force', metric: 'force', metricId: 'x', unit: 'N' }],
    questions: [
      { key: 'latch', metric: 'latch opens', metricId: 'x', text: 'Opens' },
      { key: 'crack', metric: 'no crack', metricId: 'x', text: '' },
    ],
    constants: [],
  },
} as unknown as Schemas['MethodSheet'];

describe('an instruction is changed line by line', () => {
  it('opens a line by what it says, and sends the whole method with that line changed', async () => {
    const sent = server();
    show(<MethodLines sheet={sheet} section={ASKS} write />);
    screen.getByText('Look closely.');
    await userEvent.click(screen.getByRole('button', { name: 'latch opens: Opens' }));
    const said = await screen.findByLabelText('It has held when');
    expect(said).toHaveProperty('value', 'Opens');
    await userEvent.clear(said);
    await userEvent.type(said, 'Opens twice');
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(of(sent, 'PUT', '/api/methods/m-1')).toHaveLength(1));
    const { body } = sent[0]!;
    expect(body).toMatchObject({
      device: 'd-1',
      name: 'Drop',
      version: 4,
      channels: [{ key: 'force', metric: 'force', unit: 'N' }],
    });
    // The key stays: answers of earlier runs know the question by it.
    expect(body['questions']).toEqual([
      { key: 'latch', metric: 'latch opens', text: 'Opens twice' },
      { key: 'crack', metric: 'no crack', text: '' },
    ]);
    expect(body).not.toHaveProperty('edition');
  });

  it('takes a line out and leaves the others', async () => {
    const sent = server();
    show(<MethodLines sheet={sheet} section={ASKS} write />);
    await userEvent.click(screen.getByRole('button', { name: 'no crack' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Take this line out' }));
    await waitFor(() => expect(of(sent, 'PUT', '/api/methods/m-1')).toHaveLength(1));
    expect(sent[0]!.body['questions']).toEqual([{ key: 'latch', metric: 'latch opens', text: 'Opens' }]);
  });

  it('says what is wrong at the field of the line', async () => {
    server({
      'PUT /api/methods/m-1': refusal(422, 'invalid', 'Needs another look.', {
        violations: [{ path: 'constants[0].key', message: 'A channel has this short name.' }],
      }),
    });
    show(<MethodLines sheet={sheet} section={FIXTURE} write />);
    await userEvent.click(screen.getByRole('button', { name: 'Add a quantity of the fixture' }));
    await userEvent.type(await screen.findByLabelText('Short name'), 'force');
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    await screen.findByText('A channel has this short name.');
    expect(screen.getByLabelText('Short name')).toHaveProperty('value', 'force');
  });

  it('is only read by whoever may not write', () => {
    server();
    show(<MethodLines sheet={sheet} section={ASKS} write={false} />);
    screen.getByText('no crack');
    expect(screen.queryByRole('button')).toBeNull();
  });
});
