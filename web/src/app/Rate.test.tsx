// @vitest-environment jsdom
import { fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';

import type { Schemas } from '../api/client';
import { of, refusal, server } from '../test/server';
import { show } from '../test/screen';
import Rate from './Rate';

const page = (changed: Partial<Schemas['RatePage']> = {}): Schemas['RatePage'] =>
  ({
    raters: ['Ada', 'Bo'],
    rater: '',
    code: '',
    place: 0,
    of: 0,
    scales: [],
    before: '',
    guess: '',
    codes: [],
    ...changed,
  }) as Schemas['RatePage'];

const LINE = {
  channel: 'grip',
  metric: 'How it lies in the hand',
  most: 100,
  low: 'not at all',
  high: 'as made for it',
  words: [],
};
const WORDS = { channel: 'warm', metric: 'How warm it feels', most: 0, low: '', high: '', words: ['cold', 'warm'] };

function draw(...pages: Schemas['RatePage'][]) {
  const sent = server({ 'GET /api/panels/p-1/rate': pages.map((body) => ({ body })) });
  show(<Rate panel="p-1" />);
  return sent;
}
const done = (code: string) => screen.getByRole<HTMLButtonElement>('button', { name: `Done with ${code}` });

describe('what a rater sees', () => {
  it('asks who it is, and then for one code at a time', async () => {
    const sent = draw(page(), page({ rater: 'Ada', code: '417', place: 2, of: 6, scales: [LINE] }));
    await screen.findByText('Who are you?');
    await userEvent.click(screen.getByRole('button', { name: 'Ada' }));
    expect((await screen.findByTestId('sentence')).textContent).toMatch(/^Number 417, 2 of 6\.$/);
    expect(of(sent, 'GET', '/api/panels/p-1/rate').at(-1)!.url).toContain('rater=Ada');
    screen.getByText('not at all');
    expect(done('417').disabled, 'Nothing is rated yet.').toBe(true);
  });

  it('is done when all of it is answered, and sends nothing but what was said of the code', async () => {
    const sent = draw(
      page(),
      page({
        rater: 'Ada',
        code: '417',
        place: 6,
        of: 6,
        scales: [LINE, WORDS],
        before: '302',
        guess: 'Which one is bare?',
        codes: ['302', '417'],
      }),
      page({ rater: 'Ada', raters: ['Bo'] }),
    );
    await userEvent.click(await screen.findByRole('button', { name: 'Ada' }));
    const line = await screen.findByRole('slider');
    expect(line.getAttribute('aria-valuetext')).toBe('not rated yet');
    fireEvent.change(line, { target: { value: '72' } });
    await userEvent.click(screen.getByRole('button', { name: 'warm' }));
    expect(done('417').disabled).toBe(true);
    await userEvent.click(screen.getByRole('button', { name: 'The one before, 302' }));
    await userEvent.click(screen.getByRole('button', { name: '302' }));
    await userEvent.type(screen.getByLabelText(/Anything else/), 'Sharp edge');
    expect(screen.getByRole('button', { name: 'warm' }).getAttribute('aria-pressed')).toBe('true');
    await userEvent.click(done('417'));
    await waitFor(() => expect(screen.getByTestId('sentence').textContent).toMatch(/^Thank you, Ada/));
    expect(of(sent, 'PUT', '/api/sheets/')).toHaveLength(1);
    expect(of(sent, 'PUT', '/api/sheets/')[0]!.body).toEqual({
      panel: 'p-1',
      rater: 'Ada',
      code: '417',
      ratings: [
        { name: 'grip', text: '72' },
        { name: 'warm', text: 'warm' },
      ],
      prefers: 'before',
      guess: '302',
      note: 'Sharp edge',
    });
  });

  it('takes the middle for an answer only when it was touched', async () => {
    draw(page({ rater: 'Bo', code: '88', place: 1, of: 1, scales: [LINE] }));
    const line = await screen.findByRole('slider');
    expect(done('88').disabled).toBe(true);
    fireEvent.pointerUp(line);
    expect(done('88').disabled).toBe(false);
  });

  it('keeps what was said where it could not be sent', async () => {
    const sent = server({
      'GET /api/panels/p-1/rate': { body: page({ rater: 'Bo', code: '88', place: 1, of: 1, scales: [WORDS] }) },
      'PUT /api/sheets/': [refusal(500, 'server', 'That did not work; try again.'), {}],
    });
    show(<Rate panel="p-1" />);
    await userEvent.click(await screen.findByRole('button', { name: 'cold' }));
    await userEvent.click(done('88'));
    await screen.findByText('That did not work; try again.');
    expect(screen.getByRole('button', { name: 'cold' }).getAttribute('aria-pressed')).toBe('true');
    await userEvent.click(done('88'));
    await waitFor(() => expect(of(sent, 'PUT', '/api/sheets/')).toHaveLength(2));
    const [first, second] = of(sent, 'PUT', '/api/sheets/');
    expect(second!.url, 'The same sheet, not another one.').toBe(first!.url);
  });

  it('is given back with the password of whoever handed it over', async () => {
    const sent = server({
      'GET /api/panels/p-1/rate': { body: page({ raters: [] }) },
      'POST /api/panels/p-1/take-back': refusal(422, 'invalid', 'That is not the password.'),
    });
    show(<Rate panel="p-1" />);
    await screen.findByText('Everybody has rated everything. Thank you; give the device back.');
    await userEvent.click(screen.getByRole('button', { name: 'Take the device back' }));
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Take it back' }).disabled).toBe(true);
    await userEvent.type(screen.getByLabelText(/Password/), 'sparrow');
    await userEvent.click(screen.getByRole('button', { name: 'Take it back' }));
    await screen.findByText('That is not the password.');
    expect(of(sent, 'POST', '/api/panels/p-1/take-back')[0]!.body).toEqual({ password: 'sparrow' });
  });
});
