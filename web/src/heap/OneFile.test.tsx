// @vitest-environment jsdom
import 'fake-indexeddb/auto';

import { fireEvent, screen, waitFor } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { beforeEach, expect, it } from 'vitest';

import type { Schemas } from '../api/client';
import { keepFor } from '../outbox/drafts';
import { show } from '../test/screen';
import { of, server } from '../test/server';
import { runSheet } from '../test/sheets';
import { OneFile } from './OneFile';

const file: Schemas['HeapFileView'] = {
  id: 'f-1',
  version: 3,
  workspace: 'w-1',
  name: 'G1.mp4',
  camera: 'camera G',
  zone: 'Europe/Berlin',
  modified: '2026-03-02T14:05:00Z',
  lies: '',
  kind: 'clip',
  type: 'video/mp4',
  state: 'ready',
  problem: '',
  takenAt: null,
  seconds: 8,
  plays: '0:08',
  bytes: 1000,
  size: '1 kB',
  width: 320,
  height: 240,
  sha256: 'ab',
  marks: [{ at: 1, what: 'the hook turns' }],
  aside: false,
  photo: null,
  by: 'Ines',
};
const run = { id: 'run-3', name: 'Wren E, Drop, run 3', device: 'd-1', letter: 'E', from: '2026-03-02T14:00:00Z' };
const row: Schemas['HeapRow'] = {
  file,
  moment: '2026-03-02T14:02:00Z',
  run: 'run-3',
  lies: 'during',
  said: '2 min into it',
  sentence: 'It begins 2 min into Wren E, Drop, run 3.',
  into: 120,
};
const sheet: Schemas['HeapSheet'] = {
  sentence: '',
  rows: [row],
  more: 0,
  runs: [run, { ...run, id: 'run-9', name: 'Wren E, Drop, run 9' }],
  cameras: [],
  aside: [],
};

function open(of: Schemas['HeapRow'] = row) {
  show(
    <MemoryRouter>
      <OneFile row={of} sheet={sheet} write home="/heap/w-1" next={null} before={null} />
    </MemoryRouter>,
  );
}

let person = 0;
beforeEach(() => keepFor(`somebody ${++person}`));

it('takes along what was marked and not kept when the file is kept with its run', async () => {
  const sent = server({ 'GET /api/runs/': { body: runSheet() } });
  open();
  fireEvent.click(screen.getByRole('button', { name: 'Mark this moment' }));
  fireEvent.change(screen.getByRole('textbox', { name: 'Mark at 00:00' }), { target: { value: 'it starts' } });
  fireEvent.click(screen.getByRole('button', { name: 'Keep with this run' }));
  await waitFor(() => expect(of(sent, 'POST', '/api/heapfiles/f-1/keep')).toHaveLength(1));
  expect(of(sent, 'PUT', '/api/heapfiles/f-1')[0]!.body).toMatchObject({
    version: 3,
    marks: [
      { at: 0, what: 'it starts' },
      { at: 1, what: 'the hook turns' },
    ],
  });
  expect(of(sent, 'POST', '/api/heapfiles/f-1/keep')[0]!.body).toMatchObject({ run: 'run-3' });
});

it('sends no marks again that are kept already', async () => {
  const sent = server({ 'GET /api/runs/': { body: runSheet() } });
  open();
  fireEvent.click(screen.getByRole('button', { name: 'Keep with this run' }));
  await waitFor(() => expect(of(sent, 'POST', '/api/heapfiles/f-1/keep')).toHaveLength(1));
  expect(of(sent, 'PUT', '/api/heapfiles/f-1')).toEqual([]);
});

it('says when in its run something was seen, and nothing of when in another', async () => {
  let sent = server({ 'GET /api/runs/': { body: runSheet() } });
  open();
  fireEvent.click(await screen.findByRole('button', { name: 'Keep the mark as seen on this run' }));
  await waitFor(() => expect(of(sent, 'PUT', '/api/observations/')).toHaveLength(1));
  expect(of(sent, 'PUT', '/api/observations/')[0]!.body).toMatchObject({ text: 'the hook turns', after: 121 });

  const other = { ...runSheet(), run: { ...runSheet().run, id: 'run-9' } };
  sent = server({ 'GET /api/runs/run-9': { body: other }, 'GET /api/runs/': { body: runSheet() } });
  fireEvent.change(screen.getByLabelText('It is of'), { target: { value: 'run-9' } });
  await screen.findByRole('link', { name: /run 3$|run/ });
  fireEvent.click(await screen.findByRole('button', { name: 'Keep the mark as seen on this run' }));
  await waitFor(() => expect(of(sent, 'PUT', '/api/observations/')).toHaveLength(1));
  expect(of(sent, 'PUT', '/api/observations/')[0]!.body).toMatchObject({ run: 'run-9', after: null });
});

it('plays nothing of what stays where it lies until it is dropped again', () => {
  server();
  open({ ...row, run: null, file: { ...file, state: 'away', lies: 'card 3, in the tin' } });
  expect(screen.getByText(/It stays where it lies: card 3, in the tin\. Drop it into the heap once more/)).toBeTruthy();
  expect(document.querySelector('video')).toBeNull();
});
