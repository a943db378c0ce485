// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { describe, expect, it, vi } from 'vitest';

import { server } from '../test/server';
import { show } from '../test/screen';
import type { Frame } from '../ui/place';
import { DeviceFrame } from './DeviceFrame';

const revision = (id: string, letter: string) => ({ id, letter, device: 'd-1', state: 'built' });
const FRAME = {
  device: { id: 'd-1', name: 'Wren', workspace: 'ws-1', currency: 'EUR' },
  write: true,
  modules: [],
  spine: [
    {
      revision: revision('r-c', 'C'),
      bar: [],
      evidence: '1 of 2 shown',
      waits: [{ station: 'find', why: '2 open' }],
      depth: 0,
    },
    { revision: revision('r-b', 'B′'), bar: [], evidence: '0 of 2 shown', waits: [], depth: 1 },
    { revision: revision('r-a', 'A'), bar: [], evidence: 'none shown', waits: [], depth: 0 },
  ],
} as unknown as Frame;

/** As the browser has it: keys go by the address, which may be ahead of what is drawn. */
function draw(at: string) {
  server({
    'GET /api/devices/d-1/frame': { body: FRAME },
    'GET /api/session': { body: { name: 'Maren Okafor', email: 'm', workspaces: [] } },
  });
  const router = createMemoryRouter(
    [
      {
        path: '/d/:device',
        element: <DeviceFrame />,
        children: [
          { path: ':letter/:station', element: <p>Here</p> },
          { path: 'brief', element: <p>Brief</p> },
        ],
      },
    ],
    { initialEntries: [at] },
  );
  const place = () => router.state.location.pathname;
  vi.stubGlobal('location', {
    get pathname() {
      return place();
    },
  });
  show(<RouterProvider router={router} />);
  return place;
}

describe('what surrounds the sheets of a device', () => {
  it('leads to the stations and along the builds by single keys', async () => {
    const place = draw('/d/d-1/C/build');
    await screen.findByText('Here');
    await userEvent.keyboard('3');
    await waitFor(() => expect(place()).toBe('/d/d-1/C/find'));
    await userEvent.keyboard('[[[[');
    await waitFor(() => expect(place()).toBe('/d/d-1/A/find'));
    await userEvent.keyboard(']');
    await waitFor(() => expect(decodeURIComponent(place())).toBe('/d/d-1/B′/find'));
    await userEvent.keyboard(']]]]');
    await waitFor(() => expect(place()).toBe('/d/d-1/C/find'));
  });

  it('takes keys that follow each other for what they mean, however slowly the sheets come', async () => {
    const place = draw('/d/d-1/C/weigh');
    await screen.findByText('Here');
    await userEvent.keyboard('[[[[5');
    await waitFor(() => expect(place()).toBe('/d/d-1/A/next'));
    await userEvent.keyboard(']1');
    await waitFor(() => expect(decodeURIComponent(place())).toBe('/d/d-1/B′/build'));
  });

  it('goes from a sheet of the device to a station of the newest build', async () => {
    const place = draw('/d/d-1/brief');
    await screen.findByText('Brief');
    await userEvent.keyboard('4');
    await waitFor(() => expect(place()).toBe('/d/d-1/C/weigh'));
  });

  it('says which build is looked at, what waits where, and what keys there are', async () => {
    draw('/d/d-1/C/build');
    await screen.findByText('Here');
    expect(screen.getAllByRole('link', { name: 'Build C: 1 of 2 shown' })[0]!.getAttribute('aria-current')).toBe(
      'page',
    );
    screen.getByRole('link', { name: /find.*\(2 open\)/i });
    await userEvent.keyboard('?');
    await screen.findByRole('dialog');
  });

  it('says that there is no such build, and the way back', async () => {
    draw('/d/d-1/Q/build');
    expect((await screen.findByTestId('sentence')).textContent).toMatch(/has no build Q/);
    expect(screen.getByRole('link', { name: 'To its brief' }).getAttribute('href')).toBe('/d/d-1/brief');
  });
});
