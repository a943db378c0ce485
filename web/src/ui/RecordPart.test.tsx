// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it } from 'vitest';

import type { Schemas } from '../api/client';
import { of, refusal, server } from '../test/server';
import { show } from '../test/screen';
import { PlaceContext } from './place';
import { RecordPart } from './RecordPart';

type Person = Schemas['PersonView'];

const ODILE: Person = { id: 'p1', version: 4, device: 'd1', name: 'Odile', relation: 'tester', note: '' };

function draw(rows: Person[], write = true, owner = 'd1') {
  const frame = { people: ['Maren', 'Odile'] } as Schemas['FrameView'];
  show(
    <PlaceContext.Provider value={{ frame, tag: undefined }}>
      <RecordPart
        title="Who is around"
        said="Somebody is."
        empty="Nobody yet."
        add="Add somebody"
        kind="persons"
        owner={owner}
        rows={rows}
        recordOf={(r) => r}
        columns={[{ head: 'Name', cell: (r) => r.name }]}
        fields={[{ name: 'name', label: 'Name', people: true }]}
        blank={{ relation: 'user' }}
        body={(record) => ({ device: owner, relation: record['relation'] })}
        write={write}
      />
    </PlaceContext.Provider>,
  );
}

it('says what it will work out, and adds the first', async () => {
  const sent = server();
  draw([], true, 'new');
  expect(screen.getByText('Nobody yet.')).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Add somebody' }));
  await userEvent.type(await screen.findByLabelText('Name'), 'Bram');
  expect(screen.queryByRole('button', { name: 'Withdraw it' })).toBeNull();
  await userEvent.click(screen.getByRole('button', { name: 'Save' }));
  await waitFor(() => expect(of(sent, 'PUT', '/api/persons/')).toHaveLength(1));
  expect(of(sent, 'PUT', '/api/persons/')[0]!.body).toEqual({
    name: 'Bram',
    device: 'new',
    relation: 'user',
    version: null,
  });
});

it('edits under the version that was read, and offers who is around', async () => {
  const sent = server();
  draw([ODILE]);
  await userEvent.click(screen.getByRole('button', { name: 'Edit Odile' }));
  const name = await screen.findByLabelText<HTMLInputElement>('Name');
  expect(
    [...document.getElementById(name.getAttribute('list')!)!.children].map((o) => o.getAttribute('value')),
  ).toEqual(['Maren', 'Odile']);
  await userEvent.type(name, ' F.');
  await userEvent.click(screen.getByRole('button', { name: 'Save' }));
  await waitFor(() => expect(of(sent, 'PUT', '/api/persons/p1')).toHaveLength(1));
  expect(of(sent, 'PUT', '/api/persons/p1')[0]!.body).toMatchObject({ name: 'Odile F.', version: 4 });
});

it('takes one back only with a reason', async () => {
  const sent = server({
    'POST /api/persons/p1/withdraw': [refusal(422, 'invalid', 'Say why it is withdrawn.'), {}],
  });
  draw([ODILE], true, 'withdrawn');
  await userEvent.click(screen.getByRole('button', { name: 'Edit Odile' }));
  await userEvent.click(await screen.findByRole('button', { name: 'Withdraw it' }));
  await userEvent.click(screen.getByRole('button', { name: 'Withdraw' }));
  expect((await screen.findByRole('alert')).textContent).toContain('Say why');
  await userEvent.type(screen.getByLabelText('Why is it withdrawn?'), 'Moved away');
  await userEvent.click(screen.getByRole('button', { name: 'Withdraw' }));
  await waitFor(() => expect(screen.queryByLabelText('Why is it withdrawn?')).toBeNull());
  expect(of(sent, 'POST', '/api/persons/p1/withdraw').map((s) => s.body['because'])).toEqual(['', 'Moved away']);
});

it('whoever may only look is offered nothing', () => {
  server();
  draw([ODILE], false);
  expect(screen.queryAllByRole('button')).toEqual([]);
});
