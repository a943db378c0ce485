// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import { describe, expect, it, vi } from 'vitest';

import type { Schemas } from '../api/client';
import { of, refusal, server } from '../test/server';
import { show } from '../test/screen';
import { RunsSlip, type Opened } from './RunsSlip';

const row = (number: number): Schemas['RunRow'] => ({
  id: `run-${number}`,
  revision: 'build-1',
  letter: 'D′',
  trial: 'Drop onto gravel',
  number,
  serial: 'W-09',
  startedAt: '2026-03-02T10:00:00Z',
  operator: 'Ines',
  outcome: 'held',
  reason: '',
  readings: ['force 41.2 N'],
  levels: '60 cm',
  conditions: 'ground: dry',
  aside: '',
  displays: number === 3 ? [{ metric: 'push force', photo: 'p-1' }] : [],
});
const opened: Opened = {
  title: 'Force on D′',
  sentence: 'D′ holds 41.2 N.',
  how: 'The mean of 2 runs.',
  runs: { revision: 'build-1', metric: 'metric-1', against: 'build-0' },
};

function open(what: Opened) {
  const closed = vi.fn();
  show(
    <MemoryRouter>
      <RunsSlip device="device-1" opened={what} onClose={closed} />
    </MemoryRouter>,
  );
  return closed;
}

describe('what lies behind a number', () => {
  it('is its sentence, how it was worked out, and the runs, a page at a time', async () => {
    const pages = [{ body: { rows: [row(3), row(2)], next: 'mark' } }, { body: { rows: [row(1)], next: null } }];
    const sent = server({ 'GET /api/revisions/build-1/runs': pages });
    open(opened);
    expect(screen.getByText('D′ holds 41.2 N.')).toBeTruthy();
    const link = await screen.findByRole('link', { name: 'D′ · Drop onto gravel · run 3' });
    expect(link.getAttribute('href')).toBe(`/d/device-1/${encodeURIComponent('D′')}/try/run/run-3`);
    await userEvent.click(screen.getByRole('button', { name: 'Earlier runs' }));
    await screen.findByRole('link', { name: 'D′ · Drop onto gravel · run 1' });
    expect(screen.getAllByRole('link')).toHaveLength(4);
    expect(screen.getByRole('link', { name: 'display: push force' }).getAttribute('href')).toBe(
      '/api/photos/p-1/picture',
    );
    expect(screen.queryByRole('button', { name: 'Earlier runs' })).toBeNull();
    const urls = of(sent, 'GET', '/api/revisions/build-1/runs').map((s) => new URL(s.url, 'http://x').searchParams);
    expect(urls.map((u) => u.get('metric'))).toEqual(['metric-1', 'metric-1']);
    expect(urls.map((u) => u.get('against'))).toEqual(['build-0', 'build-0']);
    expect(urls.map((u) => u.get('after'))).toEqual([null, 'mark']);
  });

  it('says why the runs cannot be shown', async () => {
    server({ 'GET /api/revisions/build-1/runs': refusal(404, 'not-there', 'There is no such build here.') });
    open(opened);
    await screen.findByText('There is no such build here.');
  });

  it('may be no runs at all, and closes by Escape', async () => {
    const sent = server();
    const closed = open({ title: 'Cost', sentence: 'Parts come to 12.50 EUR.', how: 'Their sum.' });
    expect(screen.queryByText('Runs')).toBeNull();
    await userEvent.keyboard('{Escape}');
    await waitFor(() => expect(closed).toHaveBeenCalled());
    expect(of(sent, 'GET', '/api/revisions')).toHaveLength(0);
  });
});
