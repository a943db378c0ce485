// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it } from 'vitest';

import type { Schemas } from '../../api/client';
import { show } from '../../test/screen';
import { of, server } from '../../test/server';
import { WhatItWas } from './WhatItWas';

const RUN = { id: 'run-1', article: null, state: '', outcome: 'held' } as Schemas['RunView'];

it('asks what was tried without an article, and keeps the answer', async () => {
  const sent = server();
  show(<WhatItWas run={RUN} />);
  const keep = screen.getByRole<HTMLButtonElement>('button', { name: 'Keep what it was' });
  expect(keep.disabled).toBe(true);
  await userEvent.selectOptions(screen.getByLabelText('What was it?'), 'mock-up');
  await userEvent.click(keep);
  await waitFor(() => expect(of(sent, 'POST', '/api/runs/run-1/tried-on')).toHaveLength(1));
  expect(of(sent, 'POST', '/api/runs/run-1/tried-on')[0]!.body).toEqual({ state: 'mockup' });
});

it('asks nothing where it is known, or not over yet', () => {
  const next = show(<WhatItWas run={{ ...RUN, article: 'a' }} />);
  for (const known of [{ state: 'bare' }, { outcome: null }]) {
    expect(screen.queryByRole('button')).toBeNull();
    next(<WhatItWas run={{ ...RUN, ...known }} />);
  }
  expect(screen.queryByRole('button')).toBeNull();
});
