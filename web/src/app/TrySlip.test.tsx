// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter, Route, Routes, useLocation } from 'react-router';
import { describe, expect, it } from 'vitest';

import { of, refusal, server } from '../test/server';
import { show } from '../test/screen';
import TrySlip from './TrySlip';

const START = {
  builds: [
    {
      device: 'd1',
      name: 'Cart',
      id: 'b1',
      letter: 'B',
      articles: [
        { id: 'a1', serial: 'B-1' },
        { id: 'a2', serial: 'B-2' },
      ],
    },
    { device: 'd2', name: 'Kite', id: 'b2', letter: 'A', articles: [] },
  ],
  build: 'b1',
  article: 'a1',
};
const TRIED = { device: 'd1', build: 'b1', letter: 'B', run: 'r1' };

function Where() {
  const { pathname, state } = useLocation();
  return <p>{`${pathname} ${JSON.stringify(state)}`}</p>;
}

const AT = '/api/workspaces/w1';
function open(build?: string) {
  show(
    <MemoryRouter initialEntries={['/']}>
      <Routes>
        <Route path="/" element={<TrySlip workspace="w1" build={build} onClose={() => undefined} />} />
        <Route path="*" element={<Where />} />
      </Routes>
    </MemoryRouter>,
  );
}

const line = () => screen.findByLabelText('What do you try, in a line?');

describe('trying something', () => {
  it('begins on what was used last, and takes the line along', async () => {
    const sent = server({ [`GET ${AT}/start`]: { body: START }, [`POST ${AT}/tries`]: { body: TRIED } });
    open();
    await userEvent.type(await line(), 'pulled 412 N');
    expect(screen.getByRole('button', { name: 'Begin' })).toHaveProperty('disabled', true);
    await userEvent.click(screen.getByLabelText('No'));
    await userEvent.click(screen.getByRole('button', { name: 'Begin' }));
    await waitFor(() => expect(screen.getByText('/d/d1/B/try/run/r1 {"line":"pulled 412 N"}')).toBeTruthy());
    expect(of(sent, 'POST', `${AT}/tries`)[0]!.body).toMatchObject({
      what: 'pulled 412 N',
      build: 'b1',
      article: 'a1',
      hurts: '',
      stop: '',
    });
  });

  it('offers the newest article where the last one is of another build, and none where there is none', async () => {
    const sent = server({
      [`GET ${AT}/start`]: { body: { ...START, article: 'elsewhere' } },
      [`POST ${AT}/tries`]: { body: TRIED },
    });
    open('b1');
    await userEvent.type(await line(), 'x');
    expect(screen.getByLabelText<HTMLSelectElement>('With').value).toBe('a2');
    await userEvent.selectOptions(screen.getByLabelText('On'), 'Kite, build A');
    expect(screen.queryByLabelText('With')).toBeNull();
    await userEvent.selectOptions(screen.getByLabelText('On'), 'a new device, from this line');
    await userEvent.click(screen.getByLabelText('No'));
    await userEvent.click(screen.getByRole('button', { name: 'Begin' }));
    await waitFor(() => expect(of(sent, 'POST', `${AT}/tries`)).toHaveLength(1));
    expect(of(sent, 'POST', `${AT}/tries`)[0]!.body).toMatchObject({ build: null, article: null });
  });

  it('says what is wrong, and keeps what was typed', async () => {
    const sent = server({
      [`GET ${AT}/start`]: { body: START },
      [`POST ${AT}/tries`]: refusal(422, 'invalid', 'Say when to stop before it begins.', {
        violations: [{ path: 'stop', message: 'Say when to stop.' }],
      }),
    });
    open();
    await userEvent.type(await line(), 'spin');
    await userEvent.click(screen.getByLabelText('It can'));
    await userEvent.type(screen.getByLabelText('What can?'), 'Flying parts');
    await userEvent.click(screen.getByRole('button', { name: 'Begin' }));
    await waitFor(() => expect(screen.getByRole('alert').textContent).toContain('Say when to stop'));
    expect(screen.getByLabelText('When do we stop?').getAttribute('aria-invalid')).toBe('true');
    expect(of(sent, 'POST', `${AT}/tries`)[0]!.body).toMatchObject({ hurts: 'Flying parts', stop: '' });
    expect(screen.getByLabelText<HTMLInputElement>('What do you try, in a line?').value).toBe('spin');
  });

  it('goes on to the run when its picture is refused, and takes along what became of it', async () => {
    const sent = server({
      [`GET ${AT}/start`]: { body: START },
      [`POST ${AT}/tries`]: { body: TRIED },
      'POST /api/photos/': refusal(422, 'invalid', 'That is not a picture.'),
    });
    open();
    await userEvent.type(await line(), 'pulled');
    await userEvent.upload(screen.getByLabelText(/picture/i), new File(['x'], 'x.png', { type: 'image/png' }));
    await userEvent.click(screen.getByLabelText('No'));
    await userEvent.click(screen.getByRole('button', { name: 'Begin' }));
    expect(
      await screen.findByText(/The picture was not kept\. That is not a picture\. Add it again below/),
    ).toBeTruthy();
    expect(of(sent, 'POST', '/api/photos/')).toHaveLength(1);
  });
});
