// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';

import { of, OFF, refusal, server } from '../../test/server';
import { show } from '../../test/screen';
import { runSheet } from '../../test/sheets';
import { FoundFields } from './FoundFields';

let run = 0;
const fresh = () => `run-as-found-${++run}`;
const keep = () => userEvent.click(screen.getByRole('button', { name: 'Keep as found' }));
const gap = () => screen.getByLabelText<HTMLInputElement>(/^gap/);
const ground = () => screen.getByLabelText<HTMLSelectElement>('ground');

describe('what was found', () => {
  it('goes along with all that the run is, the settings and conditions that were asked for in their order', async () => {
    const sent = server();
    const id = fresh();
    show(<FoundFields sheet={runSheet({ id })} write />);
    await userEvent.type(gap(), ' 1.6 ');
    await userEvent.selectOptions(ground(), 'wet');
    await userEvent.clear(screen.getByLabelText('height cm'));
    await userEvent.type(screen.getByLabelText('height cm'), '60');
    await userEvent.selectOptions(screen.getByLabelText('Made'), 'practise');
    await userEvent.type(screen.getByLabelText('Note'), 'Rain');
    await keep();
    await screen.findByText('Kept.');
    expect(of(sent, 'PUT', `/api/runs/${id}`)[0]!.body).toMatchObject({
      conditions: [{ name: 'ground', text: 'wet' }],
      settings: [{ name: 'gap', text: '1.6' }],
      note: 'Rain',
      operator: 'Ines',
      levels: [{ name: 'height', text: '60' }],
      purpose: 'practise',
      outcome: null,
      version: 2,
    });
  });

  it('says what is missing and what it should be, and offers “unknown”', () => {
    server();
    show(<FoundFields sheet={runSheet({ id: fresh() })} write />);
    expect(screen.getByText('Not recorded yet.')).toBeTruthy();
    expect([...ground().options].map((o) => o.value)).toEqual(['', 'dry', 'wet', 'unknown']);
  });

  it('keeps a word that the list has not', () => {
    server();
    const sheet = runSheet({ id: fresh(), conditions: [{ name: 'ground', text: 'frozen' }] });
    show(<FoundFields sheet={{ ...sheet, missing: [] }} write />);
    expect(ground().value).toBe('frozen');
    expect(screen.getByText('Should be 1.5 mm.')).toBeTruthy();
  });

  it('offers what the run before had, unconfirmed until one touch takes it', async () => {
    const sent = server();
    const id = fresh();
    const sheet = { ...runSheet({ id }), offered: [{ name: 'gap', text: '1.6 mm' }], offeredFrom: 2 };
    show(<FoundFields sheet={sheet} write />);
    expect(gap().value).toBe('');
    expect(gap().placeholder).toBe('1.6 mm?');
    expect(screen.getByText(/Offered from run 2: gap 1.6 mm. Nobody has confirmed it/)).toBeTruthy();
    await keep();
    await waitFor(() => expect(of(sent, 'PUT', `/api/runs/${id}`)).toHaveLength(1));
    expect(of(sent, 'PUT', `/api/runs/${id}`)[0]!.body).toMatchObject({ settings: [{ name: 'gap', text: '' }] });
    await userEvent.click(screen.getByRole('button', { name: 'All as in run 2' }));
    expect(gap().value).toBe('1.6 mm');
    expect(screen.queryByText(/Nobody has confirmed/)).toBeNull();
    await keep();
    await waitFor(() => expect(of(sent, 'PUT', `/api/runs/${id}`)).toHaveLength(2));
    expect(of(sent, 'PUT', `/api/runs/${id}`)[1]!.body).toMatchObject({ settings: [{ name: 'gap', text: '1.6 mm' }] });
  });

  it('says what is wrong at its field', async () => {
    const violations = [{ path: 'settings[0].text', message: 'A gap is a length.' }];
    server({ 'PUT /api/runs': refusal(422, 'invalid', 'One thing is wrong.', { violations }) });
    show(<FoundFields sheet={runSheet({ id: fresh() })} write />);
    await userEvent.type(gap(), '3 kg');
    await keep();
    await screen.findByText('A gap is a length.');
    expect(gap().getAttribute('aria-invalid')).toBe('true');
    expect(gap().value).toBe('3 kg');
  });

  it('waits on this device until it is sent', async () => {
    server({ 'PUT /api/runs': [OFF, {}] });
    const id = fresh();
    const part = <FoundFields sheet={runSheet({ id })} write />;
    const elsewhere = show(part);
    await userEvent.type(gap(), '1.6');
    expect(screen.getByRole('status').textContent).toBe('Not saved yet; kept on this device.');
    await keep();
    await waitFor(() => expect(screen.getByRole('status').textContent).toContain('no connection'));
    elsewhere(<p>Another screen</p>);
    elsewhere(part);
    await waitFor(() => expect(gap().value).toBe('1.6'));
  });

  it('is only looked at by those who may not write', () => {
    server();
    show(<FoundFields sheet={runSheet({ id: fresh() })} write={false} />);
    expect(gap().disabled).toBe(true);
    expect(screen.queryByRole('button')).toBeNull();
  });
});
