// @vitest-environment jsdom
import 'fake-indexeddb/auto';

import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';

import { ProblemError } from '../api/client';
import { markStale, onStale } from '../api/stale';
import { keepDraft } from '../outbox/drafts';
import { show } from '../test/screen';
import type { FieldOrRows, Values } from './fields';
import { RecordForm } from './RecordForm';

const FIELDS: FieldOrRows[] = [
  { name: 'what', label: 'What' },
  { name: 'cost', label: 'Cost', kind: 'number' },
  {
    name: 'class',
    label: 'Class',
    kind: 'select',
    options: [
      { value: '', label: '-' },
      { value: 'shape', label: 'Shape' },
    ],
  },
  { name: 'hazards', label: 'Hazards', kind: 'lines' },
  { name: 'must', label: 'A must', kind: 'check' },
  {
    name: 'effects',
    label: 'Effects',
    kind: 'rows',
    add: 'Another effect',
    empty: { metric: '', low: null },
    fields: [
      { name: 'metric', label: 'Metric' },
      { name: 'low', label: 'From', kind: 'number' },
    ],
  },
];

type Save = (values: Values, version: number | null) => Promise<unknown>;
const saving = () => vi.fn<Save>().mockResolvedValue(undefined);

let form = 0;
const refused = (status: number, detail: string, more: object = {}) =>
  new ProblemError({ type: 'urn:lustrum:problem:x', title: 'No', status, detail, ...more });

function begin(
  save: (values: Values, version: number | null) => Promise<unknown>,
  record: Values = {},
  draft?: string,
) {
  const onSaved = vi.fn();
  const name = draft ?? `form-${++form}`;
  const part = <RecordForm fields={FIELDS} record={record} draft={name} save={save} onSaved={onSaved} />;
  return { onSaved, name, part, elsewhere: show(part) };
}

const saveIt = () => userEvent.click(screen.getByRole('button', { name: /^Save/ }));
const what = () => screen.getByLabelText<HTMLInputElement>('What');

describe('the form of a record', () => {
  it('sends every field in the shape of the input', async () => {
    const save = saving();
    const { onSaved } = begin(save);
    await userEvent.type(what(), 'Wider arm');
    await userEvent.type(screen.getByLabelText('Cost'), '12,5');
    await userEvent.type(screen.getByLabelText('Hazards'), 'sharp\n\n hot ');
    await userEvent.click(screen.getByLabelText('A must'));
    await userEvent.click(screen.getByRole('button', { name: 'Another effect' }));
    await userEvent.type(screen.getByLabelText('Metric'), 'force');
    await userEvent.type(screen.getByLabelText('From'), '−3');
    await saveIt();
    await waitFor(() => expect(onSaved).toHaveBeenCalledOnce());
    expect(save).toHaveBeenCalledWith(
      {
        what: 'Wider arm',
        cost: 12.5,
        class: null,
        hazards: ['sharp', 'hot'],
        must: true,
        effects: [{ metric: 'force', low: -3 }],
      },
      null,
    );
  });

  it('edits under the version that it started from', async () => {
    const save = saving();
    begin(save, { what: 'Arm', version: 7 });
    await saveIt();
    await waitFor(() => expect(save).toHaveBeenCalledOnce());
    expect(save.mock.calls[0]![1]).toBe(7);
  });

  it('closes when what it made stale is there again, so that the next form starts from what there is', async () => {
    let there: () => void = () => undefined;
    onStale(() => new Promise((done) => (there = done)));
    const { onSaved } = begin(() => {
      markStale(['method']);
      return Promise.resolve();
    });
    await userEvent.type(what(), 'Arm');
    await saveIt();
    await screen.findByRole('button', { name: 'Saving …' });
    expect(onSaved).not.toHaveBeenCalled();
    there();
    await waitFor(() => expect(onSaved).toHaveBeenCalledOnce());
  });

  it('lets rows be taken out again', async () => {
    const save = saving();
    begin(save, { effects: [{ metric: 'force' }, { metric: 'time' }] });
    const rows = screen.getByRole('group', { name: 'Effects' });
    await userEvent.click(within(rows).getAllByRole('button', { name: 'Take out' })[0]!);
    await saveIt();
    await waitFor(() => expect(save).toHaveBeenCalledOnce());
    expect(save.mock.calls[0]![0]['effects']).toEqual([{ metric: 'time', low: null }]);
  });

  it('says what is wrong at its field, in a row as well, and loses nothing', async () => {
    const violations = [
      { path: 'what', message: 'Say what it is.' },
      { path: 'effects[0].low', message: 'The range runs backwards.' },
    ];
    const { onSaved } = begin(() => Promise.reject(refused(422, 'Two things are wrong.', { violations })), {
      effects: [{ metric: 'force', low: 3 }],
    });
    await userEvent.type(what(), 'x');
    await saveIt();
    await screen.findByText('Say what it is.');
    expect(screen.getByText('The range runs backwards.')).toBeTruthy();
    expect(screen.getByRole('alert').textContent).toBe('Two things are wrong.');
    expect(what().getAttribute('aria-invalid')).toBe('true');
    expect(document.getElementById(what().getAttribute('aria-describedby')!)?.textContent).toBe('Say what it is.');
    expect(what().value).toBe('x');
    expect(onSaved).not.toHaveBeenCalled();
  });

  it('shows what somebody else saved meanwhile, and saves over it only when told again', async () => {
    const theirs = { what: 'Their arm', cost: 9, hazards: [], must: false, version: 8 };
    const save = saving().mockRejectedValueOnce(refused(409, 'Tobias saved it meanwhile.', { theirs }));
    const { onSaved } = begin(save, { what: 'Arm', version: 7 });
    await userEvent.clear(what());
    await userEvent.type(what(), 'My arm');
    await saveIt();
    await screen.findByText('Their arm');
    expect(what().value).toBe('My arm');
    await userEvent.click(screen.getByRole('button', { name: 'Save mine over theirs' }));
    await waitFor(() => expect(onSaved).toHaveBeenCalledOnce());
    expect(save.mock.calls.map(([values, version]) => [values['what'], version])).toEqual([
      ['My arm', 7],
      ['My arm', 8],
    ]);
  });
});

describe('what was typed and not saved', () => {
  it('is there again, and can be let go', async () => {
    const { elsewhere, part } = begin(() => Promise.resolve(), { what: 'Arm' });
    await userEvent.type(what(), ' with rib');
    elsewhere(<p>Another screen</p>);
    elsewhere(part);
    await screen.findByText(/what you typed before and did not save/);
    expect(what().value).toBe('Arm with rib');
    await userEvent.click(screen.getByRole('button', { name: 'Start over' }));
    expect(what().value).toBe('Arm');
    elsewhere(<p>Another screen</p>);
    elsewhere(part);
    await new Promise((done) => setTimeout(done, 20));
    expect(screen.queryByText(/did not save/)).toBeNull();
  });

  it('does not take the place of what is typed before the device has found it', async () => {
    await keepDraft('slow-device', { what: 'Arm of before', cost: '4' });
    begin(() => Promise.resolve(), {}, 'slow-device');
    fireEvent.change(what(), { target: { value: 'Arm of now' } });
    await screen.findByText(/what you typed before and did not save/);
    expect(what().value).toBe('Arm of now');
    expect(screen.getByLabelText<HTMLInputElement>('Cost').value).toBe('4');
  });

  it('is gone once it is saved', async () => {
    const { elsewhere, part, onSaved } = begin(() => Promise.resolve());
    await userEvent.type(what(), 'Arm');
    await saveIt();
    await waitFor(() => expect(onSaved).toHaveBeenCalled());
    elsewhere(<p>Another screen</p>);
    elsewhere(part);
    await new Promise((done) => setTimeout(done, 20));
    expect(what().value).toBe('');
  });

  it('is never a password', async () => {
    const fields: FieldOrRows[] = [
      { name: 'email', label: 'E-mail', kind: 'email' },
      { name: 'password', label: 'Password', kind: 'password' },
    ];
    const part = (
      <RecordForm
        fields={fields}
        record={{}}
        draft="account"
        save={() => Promise.resolve()}
        onSaved={() => undefined}
      />
    );
    const elsewhere = show(part);
    await userEvent.type(screen.getByLabelText('E-mail'), 'ines@hollowlane.example');
    await userEvent.type(screen.getByLabelText('Password'), 'sparrow-and-kite');
    elsewhere(<p>Another screen</p>);
    elsewhere(part);
    await screen.findByText(/did not save/);
    expect(screen.getByLabelText<HTMLInputElement>('E-mail').value).toBe('ines@hollowlane.example');
    expect(screen.getByLabelText<HTMLInputElement>('Password').value).toBe('');
  });
});
