// @vitest-environment jsdom
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter, useLocation } from 'react-router';
import { describe, expect, it, vi } from 'vitest';

import type { Frame } from '../ui/place';
import { show } from '../test/screen';
import LookUp from './LookUp';

const tag = (letter: string, intent: string, why = '') => ({
  revision: { id: letter, letter, intent },
  bar: [],
  evidence: '',
  waits: why === '' ? [] : [{ station: 'find', why }],
  depth: 0,
});
const frame = {
  device: { id: 'device-1', name: 'Wren' },
  spine: [tag('A', 'First'), tag('D′', 'Second branch', 'two failures have no cause')],
} as unknown as Frame;

function Here() {
  return <p data-testid="here">{useLocation().pathname}</p>;
}

function begin() {
  const closed = vi.fn();
  show(
    <MemoryRouter initialEntries={['/start']}>
      <LookUp frame={frame} open onClose={closed} />
      <Here />
    </MemoryRouter>,
  );
  return closed;
}
const field = () => screen.getByLabelText('Build, station or sheet');
const found = () => screen.getAllByRole('listitem').map((item) => item.textContent);

describe('looking up', () => {
  it('offers every station of every build, and the sheets of the device', () => {
    begin();
    expect(found()).toHaveLength(2 * 5 + 4);
  });

  it('takes words in any order and any case', async () => {
    begin();
    await userEvent.type(field(), 'WEIGH d′');
    expect(found()).toEqual(['Build D′, weigh ']);
  });

  it('finds a station by what waits there, and a build by what it is for', async () => {
    begin();
    await userEvent.type(field(), 'no cause');
    expect(found()).toEqual(['Build D′, find two failures have no cause']);
    await userEvent.clear(field());
    await userEvent.type(field(), 'second branch');
    expect(found()).toEqual(['Build D′, build Second branch']);
  });

  it('goes to the first by Enter, with the letter in the address as it must be written', async () => {
    const closed = begin();
    await userEvent.type(field(), 'weigh d′{Enter}');
    expect(closed).toHaveBeenCalledOnce();
    expect(screen.getByTestId('here').textContent).toBe(`/d/device-1/${encodeURIComponent('D′')}/weigh`);
  });

  it('says so where nothing is called that, and Enter goes nowhere', async () => {
    const closed = begin();
    await userEvent.type(field(), 'zebra{Enter}');
    expect(screen.getByText('Nothing is called that here.')).toBeTruthy();
    expect(closed).not.toHaveBeenCalled();
  });
});
